import sharp, { type Channels, type OutputInfo } from 'sharp';

/** Decoded pixels without anything else: no metadata can pass through here. */
export interface RawPixels {
  data: Buffer;
  width: number;
  height: number;
  channels: Channels;
}

export const fromRaw = ({ data, ...raw }: RawPixels) => sharp(data, { raw });

export const rawOf = ({ data, info }: { data: Buffer; info: OutputInfo }): RawPixels => ({
  data,
  width: info.width,
  height: info.height,
  channels: info.channels as Channels,
});
