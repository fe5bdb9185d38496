const sorted = (values) => [...values].sort((a, b) => a - b);
export const median = (values) => sorted(values)[Math.floor(values.length / 2)];
export const p95 = (values) => sorted(values)[Math.ceil(values.length * 0.95) - 1];
export const ms = (value) => `${value.toFixed(value < 10 ? 1 : 0)} ms`;
export const kb = (bytes) => `${(bytes / 1000).toFixed(0)} kB`;
export const mb = (bytes) => `${(bytes / 1e6).toFixed(0)} MB`;
/** How many times its baseline a figure is. */
export const times = (value, base) => `${(value / base).toFixed(1)} ×`;

/** Times that what takes long is measured. */
export const LOADS = 5;
/** An answer that takes longer is not coming. */
export const LONGEST_MS = 10_000;
/** Between keys of a quick typist. */
export const KEY_EVERY_MS = 250;
