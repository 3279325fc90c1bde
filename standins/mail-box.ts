import { simpleParser } from 'mailparser';
import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';

/** A mail that arrived, as somebody would read it. */
export interface ArrivedMail {
  /** Of the envelope: where the server was told to deliver it. */
  to: string[];
  from: string;
  replyTo: string;
  subject: string;
  text: string;
  /** All of it, as it came over the line. */
  raw: string;
}

export interface MailBox {
  /** For example `smtp://127.0.0.1:4183`. */
  url: string;
  /** The newest first. */
  mails: readonly ArrivedMail[];
  close(): Promise<void>;
}

/** So many are kept; older ones are forgotten. */
const mostKept = 200;

/**
 * A mail server that takes every mail and delivers none: what it got can be read, and is gone when it stops.
 *
 * @param port used when it is free, else any other
 */
export async function startMailBox(port: number): Promise<MailBox> {
  const mails: ArrivedMail[] = [];
  const make = () =>
    new SMTPServer({
      ...{ authOptional: true, disabledCommands: ['AUTH', 'STARTTLS'], hideSTARTTLS: true },
      onData(stream, session, done) {
        const pieces: Buffer[] = [];
        stream.on('data', (piece: Buffer) => pieces.push(piece));
        stream.on('end', () => {
          const raw = Buffer.concat(pieces);
          void simpleParser(raw).then((mail) => {
            mails.unshift({
              to: session.envelope.rcptTo.map(({ address }) => address),
              from: mail.from?.text ?? '',
              replyTo: mail.replyTo?.text ?? '',
              subject: mail.subject ?? '',
              text: mail.text ?? '',
              raw: raw.toString(),
            });
            mails.splice(mostKept);
            done();
          }, done);
        });
      },
    });
  const listen = (server: SMTPServer, at: number) =>
    new Promise<SMTPServer>((resolve, reject) => {
      server.once('error', reject);
      server.listen(at, '127.0.0.1', () => resolve(server));
    });
  const server = await listen(make(), port).catch((error: unknown) => {
    if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    return listen(make(), 0);
  });
  const address = server.server.address() as AddressInfo;
  return {
    url: `smtp://127.0.0.1:${address.port}`,
    mails,
    close: () => new Promise((resolve) => server.close(() => resolve())),
  };
}
