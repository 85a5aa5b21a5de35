/** Where this machine is found from the house's network. */
import { networkInterfaces } from 'node:os';

export const addressesNow = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flat()
    .filter((at) => at?.family === 'IPv4' && !at.internal && !at.address.startsWith('169.254.'))
    .map((at) => at!.address)
    .filter((address, i, all) => all.indexOf(address) === i);
