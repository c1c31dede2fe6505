import type { RunPage } from '@green-beam/contract';
import { ZipOfClass } from './zip-of-class.ts';

/** A page of the class to be added, or that there are no more. */
export type ZipOrder = { readonly kind: 'page'; readonly page: RunPage } | { readonly kind: 'end' };

export type ZipNews =
  | { readonly kind: 'added' }
  | { readonly kind: 'done'; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly kind: 'failed' };

const zip = new ZipOfClass();
const tell = (news: ZipNews): void => self.postMessage(news);

self.addEventListener('message', ({ data }: MessageEvent<ZipOrder>) => {
  try {
    if (data.kind === 'page') {
      zip.add(data.page);
      tell({ kind: 'added' });
    } else tell({ kind: 'done', bytes: zip.bytes() });
  } catch {
    tell({ kind: 'failed' });
  }
});
