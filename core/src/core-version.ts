/** Stored with every attempt and run event, so that a verdict can be traced to the rules of reading that gave it. */
export const CORE_VERSION = '1.5.0';
