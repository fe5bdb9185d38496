/** Colours of one theme by what they stand for. Every text pair in use meets WCAG AA (docs/architecture.md). */
export interface Tokens {
  readonly paper: string;
  readonly sheet: string;
  readonly ink: string;
  readonly soft: string;
  readonly rule: string;
  readonly action: string;
  readonly actionTint: string;
  readonly glue: string;
  readonly glueText: string;
  readonly fails: string;
  readonly close: string;
  readonly holds: string;
  readonly wood: string;
  readonly woodAlternate: string;
  readonly grain: string;
  readonly woodInk: string;
  /** Hatching and warnings inked on wood or on the ramp, which stay light by lamp too. */
  readonly hatch: string;
  readonly rail: string;
  readonly railText: string;
  readonly barGround: string;
  /** Pressure from under half the target to well above it. */
  readonly ramp: readonly [string, string, string, string, string, string];
}

/** Day: paper ground, ink lines. */
export const DAY: Tokens = {
  paper: '#f7f4ec',
  sheet: '#fffdf8',
  ink: '#1d2a2e',
  soft: '#536065',
  rule: '#d6cfbf',
  action: '#1c5a53',
  actionTint: '#e3eeea',
  glue: '#e8a020',
  glueText: '#8f5200',
  fails: '#a8322a',
  close: '#965700',
  holds: '#2c6e3f',
  wood: '#efe0c2',
  woodAlternate: '#ead8b4',
  grain: '#d3bb8b',
  woodInk: '#3a3222',
  hatch: '#a8322a',
  rail: '#1f2b2f',
  railText: '#d8dedb',
  barGround: '#e6e0d0',
  ramp: ['#f3f1e4', '#d7ead9', '#a9d3c0', '#6fb3a6', '#2f8580', '#0d5660'],
};

/** Lamp: for a dim shop and tired eyes. */
export const LAMP: Tokens = {
  paper: '#12201f',
  sheet: '#182927',
  ink: '#f3efe4',
  soft: '#a9b8b3',
  rule: '#334744',
  action: '#6fc3b4',
  actionTint: '#1f3a36',
  glue: '#e8a020',
  glueText: '#f2bc5c',
  fails: '#ff9d90',
  close: '#f2bc5c',
  holds: '#86cf98',
  wood: '#d9c59c',
  woodAlternate: '#cfb98c',
  grain: '#b39a68',
  woodInk: '#2a2416',
  hatch: '#9c2a22',
  rail: '#0c1716',
  railText: '#c9d3cf',
  barGround: '#2c3f3c',
  ramp: ['#ece6d2', '#d7ead9', '#a9d3c0', '#6fb3a6', '#2f8580', '#0d5660'],
};
