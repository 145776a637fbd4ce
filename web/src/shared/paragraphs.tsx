/** What a picture shows and where it is; null for any other paragraph. */
export const pictureOf = (paragraph: string) => { const m = /^!\[([^\]]*)\]\(([^()\s]+)\)$/.exec(paragraph); return m ? { alt: m[1]!, name: m[2]! } : null; };
export const isHeading = (paragraph: string) => paragraph.startsWith('#');
/** Words that are read and measured: no heading, no picture. */
export const isProse = (paragraph: string) => !isHeading(paragraph) && !pictureOf(paragraph);
export const headingOf = (paragraph: string) => paragraph.replace(/^#+\s*/, '');
/** A paragraph as it is read out: without marks. */
export const plain = (paragraph: string) => pictureOf(paragraph)?.alt ?? headingOf(paragraph).replace(/\*/g, '');

/** A text's picture, with what it shows for those who do not see it. */
export function TextPicture({ of }: { of: { alt: string; name: string } }) {
  return <img className="textpicture" src={`/api/pictures/${of.name}`} alt={of.alt} />;
}
