/** What this place says. A translation has the same keys. */
export const say = {
  whoMayComeIn: 'Who may come in',
  onlyThisMachineForA: 'Only this machine. For a phone or tablet at the stove, stop it and begin again with ',
  yourHomeNetworkThenFinds: ': your home network then finds it, encrypted and behind a passphrase.',
  vinculumStartLan: './vinculum start --lan',
  thisMachineAndWithThe: (addresses: string) =>
    `This machine, and with the passphrase every device of the home network: ${addresses}`,
  aNewDeviceBeginsAt: (welcome: string) =>
    `A new phone or tablet begins at ${welcome}: there it learns to trust this kitchen.`,
  fingerprint: (pairs: string) => `The certificate it is shown has this fingerprint (SHA-256): ${pairs}`,
  lockThisDeviceOutAgain: 'Lock this device out again',
  thatDidNotWork: 'That did not work.',
  thePassphraseOfThisKitchen: 'The passphrase of this kitchen',
  onceOnThisDeviceIt: 'Once on this device. It stays in for a week, or until half a day goes by without it.',
  passphrase: 'Passphrase',
  comeIn: 'Come in',
};
