import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import { type CalculationListing, useCalculationsQuery } from '../api/api';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { Sum } from './Sum';
import { SUM_GROUPS, type SumGroup, SUM_TITLES } from './labels';

/** Sums: each calculation on its own, for a question at the bench. */
export function SumsPage() {
  const { name } = useParams();
  const { data: sums, isError } = useCalculationsQuery();
  const chosen = sums?.find((sum) => sum.name === name) ?? sums?.[0];
  return (
    <Page
      title="Sums"
      intro="One question at a time, without a build. The same sums answer on the command line and over HTTP."
    >
      {isError && (
        <Typography color="error">
          The server does not answer. Start it again, then load this page.
        </Typography>
      )}
      {sums === undefined && !isError && <Loading />}
      {sums !== undefined && chosen !== undefined && (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '230px minmax(0, 1fr)' },
            gap: 4,
          }}
        >
          <SumList sums={sums} chosen={chosen.name} />
          <Sum key={chosen.name} listing={chosen} />
        </Box>
      )}
    </Page>
  );
}

/** Sums under their headings; one that nobody filed comes last. */
function grouped(sums: readonly CalculationListing[]): SumGroup[] {
  const known = new Set(sums.map(({ name }) => name));
  const filed = new Set(SUM_GROUPS.flatMap((group) => group.sums));
  const rest = [...known].filter((name) => !filed.has(name));
  return [
    ...SUM_GROUPS.map((group) => ({ ...group, sums: group.sums.filter((name) => known.has(name)) })),
    ...(rest.length === 0 ? [] : [{ heading: 'More', sums: rest }]),
  ];
}

function SumList({
  sums,
  chosen,
}: {
  readonly sums: readonly CalculationListing[];
  readonly chosen: string;
}) {
  return (
    <Box component="nav" aria-label="Sums">
      {grouped(sums).map(({ heading, sums: names }) => (
        <Box key={heading} sx={{ mb: 1.5 }}>
          <Typography variant="h3" sx={{ px: 1.5, color: 'text.secondary' }}>
            {heading}
          </Typography>
          {names.map((name) => (
            <ButtonBase
              key={name}
              component={Link}
              to={`/sums/${name}`}
              aria-current={name === chosen ? 'page' : undefined}
              sx={{
                display: 'flex',
                justifyContent: 'flex-start',
                width: '100%',
                minHeight: 44,
                px: 1.5,
                fontSize: '1rem',
                fontWeight: name === chosen ? 700 : 400,
                borderLeft: 4,
                borderColor: name === chosen ? 'secondary.main' : 'divider',
              }}
            >
              {SUM_TITLES[name] ?? name}
            </ButtonBase>
          ))}
        </Box>
      ))}
    </Box>
  );
}
