import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import DragIndicatorIcon from '@mui/icons-material/DragIndicator';
import { type Board, MOST_BOARDS } from '@lean-clasp/core/formats';
import { boardLabel } from '@lean-clasp/core/kinds';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import { useState } from 'react';
import { FIGURE_FACE } from '../../../app/theme';
import { isSelected, useSelection } from '../../../drawing/selection';
import { Section } from '../../../frame/Page';
import { useFormat } from '../../../quantities/use-format';
import { CutListDialog } from '../../../tables/CutListDialog';
import { addBoard, boardsOfList, reorderBoards } from '../../edits';
import { useWoodName } from '../../../shop/own';
import { useOpenBuild } from '../../open-build';
import { BoardFields } from './BoardFields';

/** Boards from one clamped edge to the other; dragged, or moved by keyboard, into another order. */
export function BoardList() {
  const { build, edit } = useOpenBuild();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const [listing, setListing] = useState(false);
  const boards = build.boards ?? [];
  const ids = boards.map(({ id }) => id);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over === null || over.id === active.id) return;
    edit('Order of boards', reorderBoards(ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <Section
      title="Boards"
      aside={
        <>
          <Button onClick={() => setListing(true)}>From a cut list</Button>
          <Button disabled={boards.length >= MOST_BOARDS} onClick={() => edit('Board added', addBoard)}>
            Add a board
          </Button>
        </>
      }
    >
      {listing && (
        <CutListDialog
          title="Boards from a cut list"
          of="boards"
          species={boards[0]?.species ?? ''}
          most={MOST_BOARDS}
          take="Lay in place of these boards"
          onTake={(rows) => edit('Boards from a list', boardsOfList(rows))}
          onClose={() => setListing(false)}
        />
      )}
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {boards.map((board, index) => (
              <BoardRow key={board.id} board={board} label={boardLabel(index)} />
            ))}
          </Box>
        </SortableContext>
      </DndContext>
    </Section>
  );
}

function BoardRow({ board, label }: { readonly board: Board; readonly label: string }) {
  const f = useFormat();
  const woodName = useWoodName();
  const { selected, select } = useSelection();
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: board.id });
  const open = isSelected(selected, 'board', board.id);
  return (
    <Box
      component="li"
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      sx={{ borderBottom: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <IconButton
          aria-label={`Move board ${label}`}
          {...attributes}
          {...listeners}
          sx={{ touchAction: 'none' }}
        >
          <DragIndicatorIcon />
        </IconButton>
        <ButtonBase
          aria-expanded={open}
          aria-label={`Board ${label}: change`}
          onClick={() => select(open ? null : { kind: 'board', id: board.id })}
          sx={{
            flex: 1,
            minHeight: 48,
            justifyContent: 'flex-start',
            gap: 1.5,
            fontSize: '1rem',
            fontWeight: open ? 700 : 400,
          }}
        >
          <Box component="span" sx={{ width: 22, fontFamily: FIGURE_FACE, fontWeight: 700 }}>
            {label}
          </Box>
          <Box component="span" sx={{ flex: 1, textAlign: 'left' }}>
            {woodName(board.species)}
          </Box>
          <Box component="span" sx={{ fontFamily: FIGURE_FACE, fontSize: '0.9375rem' }}>
            {f.length(board.widthMm)}
          </Box>
          <Box
            component="span"
            sx={{ width: 92, color: 'text.secondary', fontSize: '0.9375rem', textAlign: 'right' }}
          >
            heart {board.heart}
          </Box>
        </ButtonBase>
      </Box>
      {open && <BoardFields board={board} label={label} />}
    </Box>
  );
}
