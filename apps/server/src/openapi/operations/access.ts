import { PassphraseSchema } from '../../access/access-routes';
import { file, having, jsonBy, type Operation } from '../operation';
import { NUMBER, OBJECT, TEXT } from './words';

const SESSION = jsonBy(
  having({ role: { enum: ['owner', 'bench', null] }, here: { type: 'boolean' }, open: { type: 'boolean' } }),
);

/** Who comes in, and how. */
export const access: readonly Operation[] = [
  {
    method: 'get',
    path: '/health',
    about: 'Whether the server is there, which version, and its clock.',
    who: 'anyone',
    answer: jsonBy(having({ status: TEXT, version: TEXT, nowMs: NUMBER })),
  },
  {
    method: 'get',
    path: '/openapi.json',
    about: 'This document.',
    who: 'anyone',
    answer: jsonBy(having({ openapi: TEXT, info: OBJECT, paths: OBJECT })),
  },
  { method: 'get', path: '/session', about: 'Who asks.', who: 'anyone', answer: SESSION },
  {
    method: 'post',
    path: '/session',
    about: 'Comes in with a passphrase.',
    who: 'anyone',
    body: jsonBy(PassphraseSchema),
    answer: SESSION,
  },
  { method: 'delete', path: '/session', about: 'Goes out again.', who: 'anyone', answer: null },
  {
    method: 'get',
    path: '/certificate',
    about: 'The certificate that devices are to trust; there is none without HTTPS.',
    who: 'anyone',
    answer: file('application/x-x509-ca-cert'),
  },
  {
    method: 'get',
    path: '/network',
    about: 'Where else the server is found, and whether passphrases are set.',
    who: 'bench',
    answer: jsonBy(
      having({ addresses: { type: 'array', items: TEXT }, passphrases: { type: 'array' }, calendar: TEXT }),
    ),
  },
  {
    method: 'put',
    path: '/network/passphrases/{role}',
    about: 'Sets the passphrase of a role.',
    who: 'this machine',
    body: jsonBy(PassphraseSchema),
    answer: jsonBy({ type: 'array' }),
  },
  {
    method: 'delete',
    path: '/network/passphrases/{role}',
    about: 'Takes the passphrase of a role away; nobody comes in by it any more.',
    who: 'this machine',
    answer: jsonBy({ type: 'array' }),
  },
];
