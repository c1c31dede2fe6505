/** True under development and in tests, where the sources themselves run; what the build has made of them ends otherwise. */
export const FROM_SOURCE = import.meta.url.endsWith('.ts');
