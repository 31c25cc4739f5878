/**
 * Encryption in the house: with a given certificate, or with one that is made here and signed by an authority of
 * this house, which phones are told to trust once.
 */
import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { generate } from 'selfsigned';
import { DAY_MS } from '@ostrin/core/quantity';

/** A key and its certificate, PEM; and the authority's own certificate where it was made here. */
export interface Tls {
  key: string;
  cert: string;
  authority: string | null;
}

/** The authority holds ten years; a certificate a little over a year, which is the most that phones take. */
const YEARS_MS = { authority: 3650 * DAY_MS, server: 396 * DAY_MS };
/** A certificate is made anew when it has less than this left. */
const RENEW_MS = 30 * DAY_MS;

/** Reads a certificate and its key from files. Throws what reading throws. */
export const givenTls = (certFile: string, keyFile: string): Tls => ({
  cert: readFileSync(certFile, 'utf8'),
  key: readFileSync(keyFile, 'utf8'),
  authority: null,
});

/** A certificate for these names and addresses, made in a folder when there is none that fits. */
export async function houseTls(folder: string, names: readonly string[]): Promise<Tls> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = (name: string): string => path.join(folder, name);
  const files = ['authority.key', 'authority.crt', 'server.key', 'server.crt'].map(file);
  const [authorityKey, authorityCert, serverKey, serverCert] = files as [
    string,
    string,
    string,
    string,
  ];
  if (!existsSync(authorityKey) || !existsSync(authorityCert)) {
    const made = await generate([{ name: 'commonName', value: 'Ostrin, this house' }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate: new Date(Date.now() + YEARS_MS.authority),
      extensions: [
        { name: 'basicConstraints', cA: true, critical: true },
        { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      ],
    });
    writeFileSync(authorityKey, made.private, { mode: 0o600 });
    writeFileSync(authorityCert, made.cert);
  }
  const authority = readFileSync(authorityCert, 'utf8');
  if (!existsSync(serverKey) || !fits(serverCert, names)) {
    const made = await generate([{ name: 'commonName', value: names[0]! }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate: new Date(Date.now() + YEARS_MS.server),
      ca: { key: readFileSync(authorityKey, 'utf8'), cert: authority },
      extensions: [
        { name: 'basicConstraints', cA: false },
        { name: 'keyUsage', digitalSignature: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: names.map((name) =>
            isAddress(name) ? { type: 7 as const, ip: name } : { type: 2 as const, value: name },
          ),
        },
      ],
    });
    writeFileSync(serverKey, made.private, { mode: 0o600 });
    writeFileSync(serverCert, made.cert);
  }
  return {
    key: readFileSync(serverKey, 'utf8'),
    cert: readFileSync(serverCert, 'utf8'),
    authority,
  };
}

const isAddress = (name: string): boolean => /^\d+(\.\d+){3}$/.test(name);

/** Whether a certificate is there, names all of these and holds for a while. */
function fits(file: string, names: readonly string[]): boolean {
  if (!existsSync(file)) return false;
  const cert = new X509Certificate(readFileSync(file));
  const left = Date.parse(cert.validTo) - Date.now();
  const named = (name: string): boolean =>
    (isAddress(name) ? cert.checkIP(name) : cert.checkHost(name)) !== undefined;
  return left > RENEW_MS && names.every(named);
}
