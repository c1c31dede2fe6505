/** Stored with every attempt and run event, so that a verdict can be traced to the rules of reading that gave it. */
export const CORE_VERSION = '2.0.0';
