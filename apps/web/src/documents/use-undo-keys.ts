import { useHotkeys } from 'react-hotkeys-hook';
import { useAppDispatch } from '../app/store';
import { redo, undo } from './sync';

/** Ctrl+Z takes the last edit of a document back, even while a field has the focus; Ctrl+Shift+Z does it again. */
export function useUndoKeys(id: string): void {
  const dispatch = useAppDispatch();
  const everywhere = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys('mod+z', () => dispatch(undo(id)), everywhere, [dispatch, id]);
  useHotkeys('mod+shift+z, mod+y', () => dispatch(redo(id)), everywhere, [dispatch, id]);
}
