import type { GlueOption } from '@lean-clasp/core';
import { useEffect, useState } from 'react';
import { useOpenBuild } from '../workspace/open-build';
import { adviser } from './workers';

/** The open build planned with every family of the catalogue; null until the first answer. */
export function useGlueOptions(): readonly GlueOption[] | null {
  const { build, shop } = useOpenBuild();
  const [options, setOptions] = useState<readonly GlueOption[] | null>(null);
  useEffect(() => {
    let overtaken = false;
    adviser()
      .compareGlues(build, shop)
      .then(
        (answer) => {
          if (!overtaken) setOptions(answer);
        },
        // The plan itself says what is wrong with such a build; here the last good comparison stays.
        () => undefined,
      );
    return () => {
      overtaken = true;
    };
  }, [build, shop]);
  return options;
}
