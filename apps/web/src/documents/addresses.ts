import type { Operation } from 'rfc6902';
import { applyPatch } from 'rfc6902';

/** A place in a document by what is there: members of lists by their id, all else by name. */
export type Address = readonly string[];

/** Marks an id, so that it is never taken for a name. */
const idStep = (id: string) => `#${id}`;

const stepsOf = (path: string): string[] =>
  path
    .split('/')
    .slice(1)
    .map((step) => step.replaceAll('~1', '/').replaceAll('~0', '~'));
const pathOf = (steps: readonly string[]): string =>
  steps.map((step) => `/${step.replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');

const idOf = (value: unknown): string | null =>
  typeof value === 'object' && value !== null && 'id' in value && typeof value.id === 'string'
    ? value.id
    : null;

const inside = (value: unknown, step: string): unknown =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[step] : undefined;

/** One operation with what it names where it was made. */
interface Named {
  readonly operation: Operation;
  readonly address: Address;
}

/** Applies operations one by one to a copy, telling what each names before it is applied. */
function walk(body: unknown, patch: readonly Operation[]): Named[] {
  const copy = structuredClone(body);
  return patch.map((operation) => {
    const address = addressOf(copy, operation);
    applyPatch(copy, [structuredClone(operation)]);
    return { operation, address };
  });
}

/** What an operation names in a body. A member put into a list is named by its own id; one without any stands for the whole list. */
function addressOf(body: unknown, operation: Operation): Address {
  const steps = stepsOf(operation.path);
  const address: string[] = [];
  let value = body;
  for (const [i, step] of steps.entries()) {
    if (!Array.isArray(value)) {
      address.push(step);
      value = inside(value, step);
      continue;
    }
    const adding = operation.op === 'add' && i === steps.length - 1;
    const member: unknown = adding ? operation.value : value[Number(step)];
    const id = idOf(member);
    // A list whose members have no ids is one thing.
    if (id === null) return address;
    address.push(idStep(id));
    value = member;
  }
  return address;
}

/** Everything that a patch changes in a body. */
export const touched = (body: unknown, patch: readonly Operation[]): Address[] =>
  walk(body, patch)
    .filter(({ operation }) => operation.op !== 'test')
    .map(({ address }) => address);

/** Whether one of two places is the other or lies in it. */
export const overlap = (a: Address, b: Address): boolean =>
  a.slice(0, b.length).every((step, i) => step === b[i]);

/**
 * A patch that can only fit what it was made for: before each member of a list that it reaches into or takes out, a test that
 * it is that member.
 */
export function withTests(body: unknown, patch: readonly Operation[]): Operation[] {
  const copy = structuredClone(body);
  return patch.flatMap((operation) => {
    const tests = operation.op === 'test' ? [] : testsFor(copy, operation);
    applyPatch(copy, [structuredClone(operation)]);
    return [...tests, operation];
  });
}

function testsFor(body: unknown, operation: Operation): Operation[] {
  const steps = stepsOf(operation.path);
  const tests: Operation[] = [];
  let value = body;
  for (const [i, step] of steps.entries()) {
    const last = i === steps.length - 1;
    const member = inside(value, step);
    const id = Array.isArray(value) && !(last && operation.op === 'add') ? idOf(member) : null;
    if (id !== null) tests.push({ op: 'test', path: `${pathOf(steps.slice(0, i + 1))}/id`, value: id });
    value = member;
  }
  return tests;
}

/** A patch put onto another state of its document; null where something that it names is no longer there. */
export function movedOnto(made: unknown, patch: readonly Operation[], onto: unknown): Operation[] | null {
  const copy = structuredClone(onto);
  const moved: Operation[] = [];
  for (const { operation, address } of walk(made, patch)) {
    if (operation.op === 'test') continue;
    const path = pathIn(copy, operation, address);
    if (path === null) return null;
    const next = { ...operation, path } as Operation;
    if (applyPatch(copy, [structuredClone(next)]).some((result) => result !== null)) return null;
    moved.push(next);
  }
  return withTests(onto, moved);
}

/** Where an operation's place is in another body; null where it is not. */
function pathIn(body: unknown, operation: Operation, address: Address): string | null {
  const steps = stepsOf(operation.path);
  const path: string[] = [];
  let value = body;
  for (const [i, step] of steps.entries()) {
    const last = i === steps.length - 1;
    if (!Array.isArray(value)) {
      if (!last && inside(value, step) === undefined) return null;
      path.push(step);
      value = inside(value, step);
      continue;
    }
    const named = address[i];
    if (named === undefined) {
      // Members without ids are found by their place, as long as there is one.
      path.push(step);
      value = value[Number(step)];
      continue;
    }
    const at = value.findIndex((member) => idOf(member) !== null && idStep(idOf(member) ?? '') === named);
    if (last && operation.op === 'add') {
      // Put in twice it would be two of one; past the end it goes to the end.
      if (at !== -1) return null;
      path.push(String(Math.min(Number(step), value.length)));
      break;
    }
    if (at === -1) return null;
    path.push(String(at));
    value = value[at];
  }
  return pathOf(path);
}
