export interface Invitee {
  name: string;
  mail: string | null;
}

const address = /[^\s<>,;|"()]+@[^\s<>,;|"()]+/;
const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

/** "ada.byron" as a name, where nothing better is known. */
const nameOf = (mail: string) =>
  mail
    .slice(0, mail.indexOf('@'))
    .split(/[._-]+/)
    .filter((part) => /\p{L}/u.test(part))
    .map(capital)
    .join(' ');

/**
 * People as they are pasted, one a line: a name, an address, or both in either order, as lists, tables and mail
 * programs write them.
 */
export function readInvitees(pasted: string): Invitee[] {
  return pasted
    .split('\n')
    .map((line) => {
      const mail = address.exec(line)?.[0] ?? null;
      const rest = (mail ? line.replace(mail, ' ') : line).replace(/[<>;|"()\t]/g, ' ').replace(/\s+/g, ' ');
      const name = rest.replace(/^[ ,]+|[ ,]+$/g, '');
      return { name: name || (mail ? nameOf(mail) : ''), mail };
    })
    .filter((one) => one.name !== '' || one.mail !== null);
}
