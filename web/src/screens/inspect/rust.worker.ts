import { rustShare, type RustAsked } from '@calvetta/core';

export type RustAnswer = ReturnType<typeof rustShare>;
const page = self as unknown as { postMessage: (m: RustAnswer) => void };
/** Two million points take half a second: beside the page. */
self.onmessage = ({ data }: MessageEvent<RustAsked>): void => page.postMessage(rustShare(data));
