import type { ShopDocument } from '@lean-clasp/core/formats';
import { weekOf } from '@lean-clasp/core/plan';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { FieldRow } from '../parts/FieldRow';
import { useDraft } from '../quantities/use-draft';
import { printHours, readHours, WEEK } from './opening-hours';
import { useEditShop } from './use-edit-shop';

/** When somebody is there; dates of sessions go by it. */
export function HoursSection({ shop }: { readonly shop: ShopDocument }) {
  return (
    <Section title="Hours">
      <FieldRow>
        {WEEK.map(({ day, name }) => (
          <DayField key={day} day={day} name={name} shop={shop} />
        ))}
      </FieldRow>
      <Typography variant="body2" color="text.secondary">
        {shop.week === undefined && 'Usual hours until you say your own. '}
        Hands-on work is put inside these hours; clamps stay on while the shop is closed.
      </Typography>
    </Section>
  );
}

function DayField({
  day,
  name,
  shop,
}: {
  readonly day: number;
  readonly name: string;
  readonly shop: ShopDocument;
}) {
  const edit = useEditShop();
  const printed = printHours(day, weekOf(shop).hours);
  const { text, type, leave } = useDraft(printed);
  const read = readHours(day, text);
  return (
    <TextField
      label={name}
      size="small"
      value={text}
      error={!read.ok}
      helperText={read.ok ? undefined : `${read.problem} The last good hours are kept.`}
      onChange={(event) => {
        const next = readHours(day, event.target.value);
        type(event.target.value, next.ok ? printHours(day, next.hours) : printed);
        if (!next.ok) return;
        edit(`Hours on ${name}`, (before) => {
          const week = copyOf(before);
          const others = week.hours.filter((each) => each.day !== day);
          return { ...before, week: { ...week, hours: [...others, ...next.hours] } };
        });
      }}
      onBlur={() => {
        if (read.ok) leave();
      }}
      sx={{ width: 240 }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false, autoComplete: 'off' } }}
    />
  );
}

/** The week of a shop as its document holds it. */
export function copyOf(shop: ShopDocument): NonNullable<ShopDocument['week']> {
  const { hours, benches } = weekOf(shop);
  return { benches: shop.week?.benches ?? benches, hours: hours.map((each) => ({ ...each })) };
}
