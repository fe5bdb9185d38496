import { newBuild, STARTER_SHOP } from '@lean-clasp/core/templates';
import { nanoid } from '@reduxjs/toolkit';
import { useMemo } from 'react';
import { BuildPicture } from './BuildPicture';

/** A kind of glue-up, drawn as it starts. */
export function KindPicture({
  template,
  size,
}: {
  readonly template: string;
  readonly size?: { readonly width: number; readonly height: number };
}) {
  const build = useMemo(
    () =>
      newBuild({ template, name: 'New', project: '', service: 'dry', answers: {} }, STARTER_SHOP, () =>
        nanoid(6),
      ),
    [template],
  );
  return <BuildPicture build={build} {...(size === undefined ? {} : { size })} />;
}
