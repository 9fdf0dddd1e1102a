import { useNavigate } from 'react-router';
import { classKind, newClass } from '../../records/feltClass';
import type { Piece } from '../../records/piece';
import { useNotify } from '../../session/notices';
import { useAdd } from '../../session/useChanges';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';

/** Begins a class in which everybody makes this piece. */
export const PlanClass = ({ piece }: { readonly piece: Piece }) => {
  const add = useAdd(classKind);
  const navigate = useNavigate();
  const { failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  const begin = (): void => {
    const held = newClass({
      id: chance.newId(),
      name: `Class: ${piece.name}`.slice(0, 200),
      now: nowIso(),
      pieceId: piece.id,
    });
    add(held)
      .then(() => navigate(`/classes/${held.id}`))
      .catch(failed);
  };
  return (
    <Button className="mt-3" onClick={begin}>
      Plan a class with it
    </Button>
  );
};
