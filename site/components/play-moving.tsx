import type { Picture } from '../render/picture.ts';

/** Starts and stops a picture that moves. Without a script it is a link to the moving picture. */
export function PlayMoving({ picture, toRoot }: { picture: Picture; toRoot: string }) {
  return picture.moving === null ? null : (
    <a className="play-moving" href={toRoot + picture.moving} data-moving>
      Play
    </a>
  );
}
