import type { GlueComparison } from '@lean-clasp/core/plan';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { useOpenBuild } from '../workspace/open-build';
import { sharing } from './sharing';
import { adviser } from './workers';

/** The open build planned with every family of the catalogue; null until the first answer. */
export function useGlueComparison(): GlueComparison | null {
  const { build, shop } = useOpenBuild();
  const [comparison, setComparison] = useState<GlueComparison | null>(null);
  useEffect(() => {
    let overtaken = false;
    adviser()
      .compareGlues(build, shop, dayjs().format('YYYY-MM-DD'))
      .then(
        (answer) => {
          if (!overtaken) setComparison((before) => sharing(before, answer));
        },
        // The plan itself says what is wrong with such a build; here the last good comparison stays.
        () => undefined,
      );
    return () => {
      overtaken = true;
    };
  }, [build, shop]);
  return comparison;
}
