import { Bow } from '../ui/bow.tsx';

const prints = [
  { src: new URL('./pictures/clock.webp', import.meta.url).href, hangs: '-rotate-2' },
  { src: new URL('./pictures/lamp.webp', import.meta.url).href, hangs: 'translate-y-2 rotate-1' },
  { src: new URL('./pictures/hotel.webp', import.meta.url).href, hangs: '-rotate-1' },
];

/** Work on a string, as it hangs in a site: pictures of the demo's projects. They say nothing that the words beside them do not. */
export const HungPictures = () => (
  <div className="relative grid grid-cols-3 gap-4 pt-4 pb-2" aria-hidden="true">
    <svg
      className="absolute inset-x-0 top-1 h-6 w-full"
      viewBox="0 0 480 24"
      preserveAspectRatio="none"
      fill="none"
    >
      <path
        d="M0 4c80 10 160 14 240 12S400 10 480 2"
        stroke="var(--string)"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
    {prints.map(({ src, hangs }) => (
      <span key={src} className={`relative bg-raised p-1.5 shadow-2 ${hangs}`}>
        <Bow className="absolute -top-2.5 left-1/2 z-1 -translate-x-1/2" />
        <img className="block aspect-[4/3] w-full object-cover" src={src} alt="" width={440} height={330} />
      </span>
    ))}
  </div>
);
