require('fake-indexeddb/auto');
require('@testing-library/jest-dom');
const { configure } = require('@testing-library/dom');

// A busy machine is slow, not wrong: wait as long as a person would.
configure({ asyncUtilTimeout: 15_000 });

// jsdom has none, and Node's keeps the process from ending: what is sent to one's own other end, a moment later.
const { setTimeout: later } = globalThis;
globalThis.MessageChannel = class {
  port1 = { onmessage: null, close: () => undefined };
  port2 = { postMessage: (data) => later(() => this.port1.onmessage?.({ data })) };
};
