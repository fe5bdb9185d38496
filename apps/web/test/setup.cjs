require('fake-indexeddb/auto');
require('@testing-library/jest-dom');
const { configure } = require('@testing-library/dom');

// A busy machine is slow, not wrong: wait as long as a person would.
configure({ asyncUtilTimeout: 15_000 });

// jsdom reads files by FileReader alone.
/* global FileReader */
Blob.prototype.arrayBuffer ??= function arrayBuffer() {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result);
    reader.onerror = () => fail(reader.error);
    reader.readAsArrayBuffer(this);
  });
};
