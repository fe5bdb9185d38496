require('fake-indexeddb/auto');
require('@testing-library/jest-dom');
const { configure } = require('@testing-library/dom');

// A busy machine is slow, not wrong: wait as long as a person would.
configure({ asyncUtilTimeout: 15_000 });
