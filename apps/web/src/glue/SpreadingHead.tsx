import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';

/** Headings of a table of what is spread, with what, how much and for how long. */
export function SpreadingHead({ what }: { readonly what: string }) {
  return (
    <TableHead>
      <TableRow>
        <TableCell>{what}</TableCell>
        <TableCell>with</TableCell>
        <TableCell align="right">glue</TableCell>
        <TableCell align="right">spreading</TableCell>
      </TableRow>
    </TableHead>
  );
}
