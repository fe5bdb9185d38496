import {
  Array,
  Boolean,
  Integer,
  Literal,
  Null,
  Number,
  Object,
  Optional,
  Partial,
  Record,
  String,
  Union,
  Unknown,
  Unsafe,
} from '@sinclair/typebox';

/** What documents and questions are described with; the package's own list of such words holds sixty more, and brings all of them along. */
export const Type = {
  Array,
  Boolean,
  Integer,
  Literal,
  Null,
  Number,
  Object,
  Optional,
  Partial,
  Record,
  String,
  Union,
  Unknown,
  Unsafe,
};
