import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { generate } from 'selfsigned';

/**
 * A certificate authority of this yard and a certificate for this machine, so that tablets open it by https and can keep it offline.
 * usage: certificate [directory] [--name HOST]...
 */
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { name: { type: 'string', multiple: true, default: [] } }
});
const directory = path.resolve(positionals[0] ?? 'certificates');
const host = os.hostname().toLowerCase();
const names = [...new Set(['localhost', host, `${host.split('.')[0]}.local`, ...values.name])];
const addresses = [
  ...new Set([
    '127.0.0.1',
    ...Object.values(os.networkInterfaces()).flatMap((l) =>
      (l ?? []).filter((a) => a.family === 'IPv4').map((a) => a.address)
    )
  ])
];
const DAY = 24 * 3_600_000;
const soon = (days: number): Date => new Date(Date.now() + days * DAY);
const paths = { ca: 'ca.crt', caKey: 'ca.key', cert: 'server.crt', key: 'server.key' } as const;
const file = (f: keyof typeof paths): string => path.join(directory, paths[f]);

fs.mkdirSync(directory, { recursive: true, mode: 0o700 });
// An authority that tablets trust already is kept: only the machine's certificate is made anew.
let authority =
  fs.existsSync(file('ca')) && fs.existsSync(file('caKey'))
    ? { cert: fs.readFileSync(file('ca'), 'utf8'), private: fs.readFileSync(file('caKey'), 'utf8') }
    : undefined;
if (!authority) {
  authority = await generate([{ name: 'commonName', value: `Indaga yard, ${host}` }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notAfterDate: soon(3650),
    extensions: [
      { name: 'basicConstraints', cA: true, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true }
    ]
  });
  fs.writeFileSync(file('ca'), authority.cert);
  fs.writeFileSync(file('caKey'), authority.private, { mode: 0o600 });
}
const made = await generate([{ name: 'commonName', value: host }], {
  keyType: 'ec',
  algorithm: 'sha256',
  // Browsers take no longer ones of an authority that was added by hand for much more than two years.
  notAfterDate: soon(800),
  ca: { key: authority.private, cert: authority.cert },
  extensions: [
    { name: 'basicConstraints', cA: false, critical: true },
    { name: 'keyUsage', digitalSignature: true, critical: true },
    { name: 'extKeyUsage', serverAuth: true },
    {
      name: 'subjectAltName',
      altNames: [
        ...names.map((value) => ({ type: 2 as const, value })),
        ...addresses.map((ip) => ({ type: 7 as const, ip }))
      ]
    }
  ]
});
fs.writeFileSync(file('cert'), made.cert);
fs.writeFileSync(file('key'), made.private, { mode: 0o600 });
console.log(
  [
    `${directory}: a certificate for ${[...names, ...addresses].join(', ')}.`,
    '',
    `Start with it:  INDAGA_CERTIFICATE=${directory} HOST=0.0.0.0 PORT=3443 npm start`,
    '',
    `Once on each tablet: bring ${paths.ca} onto it (a stick, a mail to yourself; never ${paths.caKey}), then`,
    '  Android: Settings, Security, Install a certificate, CA certificate.',
    '  iPad and iPhone: open the file, Settings, Profile downloaded, install; then General, About, Certificate trust settings, switch it on.',
    '  Windows: open the file, install for this computer, into “Trusted root certification authorities”. Firefox has a store of its own.',
    '',
    `Keep ${paths.caKey} as you keep the key of the yard: who has it can be any address to these tablets.`
  ].join('\n')
);
