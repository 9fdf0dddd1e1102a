import { classKind, newClass } from '../../records/feltClass';
import type { Piece } from '../../records/piece';
import { useAddAndOpen } from '../../session/useAddAndOpen';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';

/** Begins a class in which everybody makes this piece. */
export const PlanClass = ({ piece }: { readonly piece: Piece }) => {
  const addAndOpen = useAddAndOpen(classKind, id => `/classes/${id}`);
  const { chance, nowIso } = useWorkshop();
  const begin = (): void => {
    const held = newClass({
      id: chance.newId(),
      name: `Class: ${piece.name}`.slice(0, 200),
      now: nowIso(),
      pieceId: piece.id,
    });
    addAndOpen(held);
  };
  return (
    <Button className="mt-3" onClick={begin}>
      Plan a class with it
    </Button>
  );
};
