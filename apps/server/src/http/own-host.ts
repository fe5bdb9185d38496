import { networkInterfaces } from 'node:os';
import { isIPv6 } from 'node:net';
import type { RequestHandler } from 'express';
import { httpError } from './errors';

const LOOPBACK: readonly string[] = ['localhost', '127.0.0.1', '[::1]'];
const EVERYWHERE: readonly string[] = ['0.0.0.0', '::'];

/** Names by which this server may be called: its own machine, and where it is open to the network that machine's addresses. */
export function ownHosts(host: string, names: readonly string[] = []): ReadonlySet<string> {
  return new Set([...LOOPBACK, ...ownAddresses(host), ...names].map((name) => name.toLowerCase()));
}

/** Addresses on which a server that listens on a host is reached. */
const ownAddresses = (host: string): string[] =>
  (EVERYWHERE.includes(host)
    ? Object.values(networkInterfaces()).flatMap((own) => (own ?? []).map(({ address }) => address))
    : [host]
  ).map(bracketed);

/** Those by which other machines reach it, named ones first; none when it listens on this machine only. */
export const networkHosts = (host: string, names: readonly string[]): string[] => {
  const others = ownAddresses(host).filter(
    (each) => !LOOPBACK.includes(each) && !/^\[?fe80:|^127\./i.test(each),
  );
  return others.length === 0 ? [] : [...names, ...others];
};

const bracketed = (address: string): string => (isIPv6(address) ? `[${address}]` : address);

/** Name of a host header, without its port. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Refuses requests that call this server by a name that is not its own, whatever they ask: a page elsewhere may have its name
 * point here, and would pass for this server's own.
 */
export const requireOwnHost =
  (hosts: ReadonlySet<string>): RequestHandler =>
  (request, _response, next) => {
    if (hosts.has(nameOf(request.headers.host ?? ''))) {
      next();
      return;
    }
    throw httpError(
      421,
      'other-host',
      'This server does not go by that name.',
      'the address that it tells when it starts, or a name given with --name',
    );
  };
