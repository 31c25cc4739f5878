/** Opening to the home network: the passcode, encryption, and telling where the yard is found. */
import path from 'node:path';
import QRCode from 'qrcode';
import { accessStore, newCode } from '../access/accessStore';
import { ownAddresses, ownNames } from '../access/house';
import type { House } from '../access/routes';
import type { Tls } from '../access/tls';
import type { Knex } from 'knex';
import type { Settings } from './settings';

/** The certificate to serve with; null without encryption. */
export async function tlsOf({ tls, file, names }: Settings): Promise<Tls | null> {
  if (tls === 'none') return null;
  // What makes certificates takes time to load: only where TLS is asked for.
  const { givenTls, houseTls } = await import('../access/tls');
  if (tls !== 'made') return givenTls(tls.cert, tls.key);
  const folder = file === ':memory:' ? path.join(process.cwd(), 'data') : path.dirname(file);
  return houseTls(path.join(folder, 'tls'), [...ownNames(names), ...ownAddresses()]);
}

/** How the server is open; the addresses come with its port. */
export function houseOf({ home }: Settings, port: number, secure: boolean): House {
  const scheme = secure ? 'https' : 'http';
  const addresses = home ? ownAddresses().map((a) => `${scheme}://${a}:${port}`) : [];
  return { home, secure, addresses };
}

/** Sees to it that there is a passcode. Returns it where it is new and has to be told; null where it is known. */
export async function passcodeOf(db: Knex, settings: Settings): Promise<string | null> {
  const access = accessStore(db, Date.now);
  const { passcode, newPasscode } = settings;
  if (passcode !== null) {
    await access.setPasscode(passcode);
    return null;
  }
  if (!newPasscode && (await access.hasPasscode())) return null;
  const made = newCode();
  await access.setPasscode(made);
  return made;
}

/** What the terminal says of an open house: addresses, a QR code of the first, the passcode, and what others see. */
export async function houseWords(house: House, passcode: string | null): Promise<string> {
  const lines = ['', 'Open to the home network:', ...house.addresses.map((a) => `  ${a}`)];
  const [first] = house.addresses;
  if (first) lines.push('', await QRCode.toString(first, { type: 'utf8' }));
  else lines.push('  no network was found: join one and start again');
  lines.push(
    passcode === null
      ? 'The passcode is as it was; --new-passcode makes another.'
      : `Passcode: ${passcode}`,
  );
  if (!house.secure) {
    lines.push(
      'Not encrypted: others on this network could read the passcode and the log. --tls encrypts.',
    );
  }
  return `${lines.join('\n')}\n`;
}
