import { Navigate, useParams } from 'react-router';
import { rooms } from '../../ui/rooms.ts';

/** A room that is not built yet says so, and what it will be for. */
export function PlannedRoom() {
  const { room: path } = useParams();
  const room = rooms.find((one) => one.path === path && one.planned);
  if (!room) return <Navigate to="../projects" replace />;
  const Icon = room.icon;
  return (
    <div className="grid max-w-xl content-start gap-4 px-6 py-16 md:px-14">
      <Icon size={36} strokeWidth={1.5} aria-hidden="true" className="text-ink-3" />
      <h1>{room.name}</h1>
      <p className="text-base leading-6 text-ink-2">{room.planned}</p>
      <p className="note">This room is not built yet. Nothing on your site depends on it.</p>
    </div>
  );
}
