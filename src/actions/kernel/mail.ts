import { createTransport } from 'nodemailer';
import { setting } from '@/core/access/address';
import { type Mail, putMail } from '@/store/simulated-mail';
import { address } from './address';
import { withoutFigures } from './database-errors';
import { database, log, now, underWay } from './context';

/** Whether e-mail goes out, into the mailbox that is looked at on this machine, or nowhere. */
export type MailWay = 'sent' | 'simulated' | 'none';

export const mailWay = (): MailWay => {
  if (setting(process.env.SMTP_URL) !== undefined) return 'sent';
  return address().open ? 'none' : 'simulated';
};

/** A server for e-mail that does not answer is given up after so long, in milliseconds. */
const PATIENCE = 15_000;

/** Sends a message; false where it could not be, which stands in the log. Never called inside a transaction, since it may take long. */
export const sendMail = (practice: number, mail: Mail): Promise<boolean> =>
  underWay(async () => {
    try {
      const way = mailWay();
      if (way === 'none') return false;
      if (way === 'simulated') {
        await (
          await database()
        ).transaction(async (tx) => {
          await tx.scope(practice);
          await putMail(tx, practice, mail, now());
        });
        return true;
      }
      const transport = createTransport({
        url: process.env.SMTP_URL,
        connectionTimeout: PATIENCE,
        greetingTimeout: PATIENCE,
        socketTimeout: PATIENCE,
        // What is sent is our own text; nothing of it is fetched from anywhere.
        disableFileAccess: true,
        disableUrlAccess: true,
      });
      await transport.sendMail({
        from: setting(process.env.MAIL_FROM) ?? 'Bathron <bathron@localhost>',
        to: { name: '', address: mail.to },
        subject: mail.subject,
        text: mail.body,
      });
      return true;
    } catch (error) {
      log.error({ err: withoutFigures(error) }, 'an e-mail could not be sent');
      return false;
    }
  });
