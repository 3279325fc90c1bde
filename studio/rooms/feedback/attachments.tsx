import { FileText } from 'lucide-react';
import { attachmentPath, type ReceivedComment } from '#contract/comments.ts';
import { megabytes } from '#core/words/megabytes.ts';

/** Files that came with a comment: pictures to be seen, documents to be saved. */
export function Attachments({ comment: { id, name, attachments } }: { comment: ReceivedComment }) {
  if (attachments.length === 0) return null;
  return (
    <ul aria-label={`Files from ${name}`} className="flex flex-wrap items-end gap-3">
      {attachments.map((one) => {
        const path = `/${attachmentPath(id, one.id)}`;
        return (
          <li key={one.id} className="max-w-full min-w-0">
            {one.kind === 'picture' ? (
              <a href={path} target="_blank" rel="noreferrer" className="grid gap-1">
                <img
                  src={path}
                  alt={`Sent with it: ${one.fileName}`}
                  className="h-36 w-auto max-w-full bg-sunk object-contain"
                  loading="lazy"
                />
                <span className="note [overflow-wrap:anywhere]">{one.fileName}</span>
              </a>
            ) : (
              <a
                href={path}
                download={one.fileName}
                className="link inline-flex max-w-full items-center gap-1.5"
              >
                <FileText size={16} aria-hidden="true" className="flex-none" />
                <span className="min-w-0 [overflow-wrap:anywhere]">
                  {one.fileName}, {megabytes(one.bytes)}
                </span>
              </a>
            )}
          </li>
        );
      })}
      {attachments.some(({ kind }) => kind === 'document') && (
        <li className="note w-full">Documents are as they were sent. Open only what you expect.</li>
      )}
    </ul>
  );
}
