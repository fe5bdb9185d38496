import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import { type CalculationListing, useCalculationsQuery } from '../api/api';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { Sum } from './Sum';
import { SUM_TITLES } from './labels';

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
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '230px 1fr' }, gap: 4 }}>
          <SumList sums={sums} chosen={chosen.name} />
          <Sum key={chosen.name} listing={chosen} />
        </Box>
      )}
    </Page>
  );
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
      {sums.map((sum) => (
        <ButtonBase
          key={sum.name}
          component={Link}
          to={`/sums/${sum.name}`}
          aria-current={sum.name === chosen ? 'page' : undefined}
          sx={{
            display: 'flex',
            justifyContent: 'flex-start',
            width: '100%',
            minHeight: 48,
            px: 1.5,
            fontSize: '1rem',
            fontWeight: sum.name === chosen ? 700 : 400,
            borderLeft: 4,
            borderColor: sum.name === chosen ? 'secondary.main' : 'divider',
          }}
        >
          {SUM_TITLES[sum.name] ?? sum.name}
        </ButtonBase>
      ))}
    </Box>
  );
}
