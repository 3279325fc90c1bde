declare module 'heic-decode' {
  interface HeicImage {
    width: number;
    height: number;
    decode(): Promise<{ width: number; height: number; data: Uint8ClampedArray }>;
  }
  const decode: {
    /** The pictures of a file, the main one first, each decoded when asked. */
    all(input: { buffer: Uint8Array }): Promise<HeicImage[] & { dispose(): void }>;
  };
  export default decode;
}
