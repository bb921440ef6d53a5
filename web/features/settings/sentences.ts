/** What this place says. A translation has the same keys. */
export const say = {
  englishUk: 'English (UK)',
  englishUs: 'English (US)',
  englishAustralia: 'English (Australia)',
  deutsch: 'Deutsch',
  settingsVinculum: 'Settings · Vinculum',
  settings: 'Settings',
  datesAndNumbers: 'Dates and numbers',
  asThisBrowserWritesThem: 'as this browser writes them',
  prices: 'Prices',
  asUsualInTheRegion: 'as usual in the region',
  asBareNumbers: 'as bare numbers',
  timesAndSeasonsFollowThis: (zone: string) =>
    `Times and seasons follow this browser’s time zone, ${zone}: south of the equator damsons are ripe in March.`,
  backupsAndExport: 'Backups and export',
  soWhatARecipeSays: (value: string, value2: string, value3: string) =>
    `So: ${value}, ${value2}, ${value3}. What a recipe says stays as it was written.`,
};
