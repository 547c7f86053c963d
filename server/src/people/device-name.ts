const SYSTEMS = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android.*Mobile/, 'Android phone'],
  [/Android/, 'Android tablet'],
  [/Windows/, 'Windows'],
  [/Mac OS X|Macintosh/, 'Mac'],
  [/CrOS/, 'Chromebook'],
  [/Linux|X11/, 'Linux'],
] as const;

const BROWSERS = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\/|CriOS\//, 'Chrome'],
  [/Safari\//, 'Safari'],
] as const;

/** What a device is called in a list, from what its browser says of itself. */
export function deviceName(userAgent: string): string {
  const of = (names: readonly (readonly [RegExp, string])[]) => names.find(([sign]) => sign.test(userAgent))?.[1];
  const [browser, system] = [of(BROWSERS), of(SYSTEMS)];
  if (browser === undefined && system === undefined) return 'A program';
  return [browser, system].filter((part) => part !== undefined).join(' on ');
}
