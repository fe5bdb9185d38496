import { type Condition, CONDITIONS } from '@lean-clasp/core/assembly';
import { LIMITS } from '@lean-clasp/core/basics';
import { findSpecies } from '@lean-clasp/core/materials';
import { CONDITION_WORDS, inSentence, sideWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { unmeteredHint } from '../air/wood-words';
import { isSelected, useSelection } from '../drawing/selection';
import { Section } from '../frame/Page';
import { COUNTED_COLUMNS, Figure, OpeningRow, RowNumber } from '../parts/OpeningRow';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { Tick } from '../parts/Tick';
import { usePlan } from '../planner/plan-context';
import { NumberField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { WoodChoice } from '../shop/WoodChoice';
import { useOpenBuild } from '../workspace/open-build';
import { noteParts } from './edits';
import { groupParts, nameOfGroup, type PartGroup } from './groups';
import { pastedNotes } from './paste-parts';
import { RoughSize } from './RoughSize';

/** Where the face mark and the edge mark go, and turning either over. */
function MarksOfPart({
  facts: { part, marks },
  ids,
  turned,
}: {
  readonly facts: PartGroup['parts'][number];
  readonly ids: readonly string[];
  readonly turned: { readonly faceTurned?: boolean; readonly edgeTurned?: boolean } | undefined;
}) {
  const { edit } = useOpenBuild();
  if (marks === null) return null;
  return (
    <>
      <Typography variant="body2">
        Face mark {sideWords(marks.face.normal)}
        {marks.edge === null ? '' : `, edge mark ${sideWords(marks.edge.normal)}`}.
      </Typography>
      <FieldRow>
        <Tick
          label="Best face the other way"
          checked={turned?.faceTurned ?? false}
          onChange={(faceTurned) => edit(`Face mark of ${part.label}`, noteParts(ids, { faceTurned }))}
        />
        {marks.edge !== null && (
          <Tick
            label="Edge mark on the other edge"
            checked={turned?.edgeTurned ?? false}
            onChange={(edgeTurned) => edit(`Edge mark of ${part.label}`, noteParts(ids, { edgeTurned }))}
          />
        )}
      </FieldRow>
    </>
  );
}

/** What is sawn and planed out of a rough board: no sheet and no veneer. */
const isMilled = ({ part, woodLike }: PartGroup['parts'][number]): boolean =>
  part.sheetNormal === null &&
  part.role !== 'veneer' &&
  part.role !== 'ply' &&
  findSpecies(woodLike ?? '')?.kind !== 'sheet';

const CONDITION_OPTIONS = CONDITIONS.map((value: Condition) => ({ value, name: CONDITION_WORDS[value] }));

/** The cutting list; a line opens to wood, moisture and state. Moistures and woods can be pasted from a spreadsheet. */
export function PartsList() {
  const { plan } = usePlan();
  const { edit } = useOpenBuild();
  const [pasted, setPasted] = useState<string | null>(null);
  const groups = useMemo(() => (plan === null ? [] : groupParts(plan.facts.parts)), [plan]);
  if (plan === null) return null;
  const pieces = plan.facts.parts.length * plan.facts.assembly.sets;
  return (
    <Section title={`Parts, ${pieces} in all`}>
      <Box
        component="ul"
        aria-label="Cutting list"
        tabIndex={0}
        onPaste={(event) => {
          const result = pastedNotes(event.clipboardData.getData('text'), plan.facts.parts, plan.shop.woods);
          if (result.notes.length > 0) {
            event.preventDefault();
            edit('Pasted parts', (before) =>
              result.notes.reduce((build, { id, change }) => noteParts([id], change)(build), before),
            );
          }
          setPasted(result.said);
        }}
        sx={{ listStyle: 'none', p: 0, m: 0 }}
      >
        {groups.map((group) => (
          <GroupRow key={group.key} group={group} sets={plan.facts.assembly.sets} />
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" role="status" sx={{ mt: 1 }}>
        {pasted ?? 'Paste rows of part, species and moisture from a spreadsheet onto this list.'}
      </Typography>
    </Section>
  );
}

function GroupRow({ group, sets }: { readonly group: PartGroup; readonly sets: number }) {
  const f = useFormat();
  const { selected, select } = useSelection();
  const { build, shop, edit } = useOpenBuild();
  const first = group.parts[0];
  if (first === undefined) return null;
  const ids = group.parts.map(({ part }) => part.id);
  const chosen = group.parts.find(({ part }) => isSelected(selected, 'part', part.id));
  const open = chosen !== undefined;
  const { part, woodName } = first;
  const many = group.parts.length > 1;
  const name = nameOfGroup(group);
  const count = group.parts.length * sets;
  // The plan comes a moment after the edit; fields show what was noted, not what has been planned so far.
  const note = build.partNotes.find(({ id }) => id === part.id);
  return (
    <OpeningRow
      open={open}
      columns={COUNTED_COLUMNS}
      onToggle={() => select(open ? null : { kind: 'part', id: part.id })}
      cells={
        <>
          <RowNumber>{count} ×</RowNumber>
          <span>
            {name}, {inSentence(woodName)}
          </span>
          <Figure>{f.sizes(part.blankMm)}</Figure>
        </>
      }
    >
      {open && (
        <Box sx={{ pt: 1.5, pl: 1 }}>
          {many && (
            <Typography variant="body2" sx={{ mb: 1 }}>
              {chosen.part.label} is lit in the drawing. What you enter holds for {group.parts.length} alike.
            </Typography>
          )}
          <FieldRow>
            <WoodChoice
              value={note?.species ?? part.species}
              onChange={(species) => edit(`Wood of ${name}`, noteParts(ids, { species }))}
            />
            <NumberField
              label="Moisture, metered"
              unit="%"
              optional
              value={note?.mcPct ?? null}
              bounds={LIMITS.moisturePct}
              hint={unmeteredHint(Math.min(...part.blankMm), first.traits, shop)}
              onChange={(mcPct) => edit(`Moisture of ${name}`, noteParts(ids, { mcPct }))}
              width={170}
            />
            <Choice
              label="Glue faces"
              value={note?.condition ?? 'fresh'}
              options={CONDITION_OPTIONS}
              onChange={(condition) => edit(`Faces of ${name}`, noteParts(ids, { condition }))}
              width={180}
            />
          </FieldRow>
          {isMilled(first) && <RoughSize ids={ids} name={name} finished={part.blankMm} />}
          <MarksOfPart facts={chosen} ids={ids} turned={note} />
        </Box>
      )}
    </OpeningRow>
  );
}
