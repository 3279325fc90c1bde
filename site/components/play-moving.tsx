import type { Picture } from '../render/picture.ts';
import { useSpoken } from '../render/words.ts';

/** Starts and stops a picture that moves. Without a script it is a link to the moving picture. */
export function PlayMoving({ picture, toRoot }: { picture: Picture; toRoot: string }) {
  const { words, lang } = useSpoken();
  return picture.moving === null ? null : (
    <a className="play-moving" href={toRoot + picture.moving} data-moving {...lang}>
      {words.play}
    </a>
  );
}
