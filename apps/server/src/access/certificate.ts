import { X509Certificate } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';

/** A certificate made by this server for itself, and the key to it, both PEM. */
export interface OwnCertificate {
  readonly cert: string;
  readonly key: string;
}

/** How long one lasts, and how long before its end another is made, days. Phones take none that lasts longer than 825. */
const LASTS_DAYS = 800;
const RENEWED_DAYS = 30;
const DAY_MS = 86_400_000;
const SECRET = 0o600;

/**
 * The certificate in the data folder; made when there is none, when its time is nearly over, or when the server has a name that is
 * not in it. Devices that trusted the one of before are asked again.
 * @param names hosts and addresses by which the server may be called; brackets of IPv6 do not matter.
 */
export async function ownCertificate(
  folder: string,
  names: ReadonlySet<string>,
  nowMs: number,
): Promise<OwnCertificate> {
  const files = { cert: join(folder, 'certificate.pem'), key: join(folder, 'certificate-key.pem') };
  const plain = [...names].map((name) => name.replace(/^\[|\]$/g, '').replace(/%.*$/, ''));
  if (existsSync(files.cert) && existsSync(files.key)) {
    const stored = { cert: readFileSync(files.cert, 'utf8'), key: readFileSync(files.key, 'utf8') };
    if (isGood(stored.cert, plain, nowMs)) return stored;
  }
  // Read in only here: it is large, and most servers speak plain HTTP.
  const { generate } = await import('selfsigned');
  const made = await generate([{ name: 'commonName', value: 'Lean Clasp in this shop' }], {
    keyType: 'ec',
    curve: 'P-256',
    algorithm: 'sha256',
    notBeforeDate: new Date(nowMs - DAY_MS),
    notAfterDate: new Date(nowMs + LASTS_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, critical: true },
      { name: 'keyUsage', keyCertSign: true, digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: plain.map((name) =>
          isIP(name) === 0 ? { type: 2 as const, value: name } : { type: 7 as const, ip: name },
        ),
      },
    ],
  });
  writeFileSync(files.key, made.private, { mode: SECRET });
  writeFileSync(files.cert, made.cert, { mode: SECRET });
  return { cert: made.cert, key: made.private };
}

function isGood(pem: string, names: readonly string[], nowMs: number): boolean {
  try {
    const certificate = new X509Certificate(pem);
    const has = (name: string) =>
      isIP(name) === 0 ? certificate.checkHost(name) !== undefined : certificate.checkIP(name) !== undefined;
    return Date.parse(certificate.validTo) > nowMs + RENEWED_DAYS * DAY_MS && names.every(has);
  } catch {
    return false;
  }
}
