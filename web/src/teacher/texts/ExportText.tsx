import { DownloadSimple } from '@phosphor-icons/react';
import { phrase, t, type Phrase } from '../../shared/words';
import { Dialog } from '../../ui/Dialog';
import type { TextData, Version } from './TextPage';

const files: readonly [format: string, name: Phrase, use: Phrase][] = [
  ['epub', phrase('EPUB'), phrase('A book for reading apps and tablets')],
  ['docx', phrase('DOCX'), phrase('To edit in a word processor')],
  ['html', phrase('HTML'), phrase('A web page')],
  ['md', phrase('Markdown'), phrase('Plain text with headings')],
  ['txt', phrase('Plain text'), phrase('Words and paragraphs, nothing else')],
  ['qti', phrase('QTI 3.0'), phrase('The quiz, for other systems')],
  ['zip', phrase('Content folder (ZIP)'), phrase('All versions, quiz and words, to import here again')],
];

/** A text as a file: which kinds there are, and what each is for. */
export function ExportText({ x, version, close }: { x: TextData; version: Version; close: () => void }) {
  return (
    <Dialog title={t('Export “{{title}}”', { title: x.title })} close={close}>
      <ul className="border-line divide-line divide-y border-y">
        {files.map(([format, name, use]) => (
          <li key={format}>
            <a
              className="hover:bg-tint flex min-h-11 items-center gap-3 px-2 py-1.5 no-underline"
              href={`/api/texts/${x.id}/file?format=${format}&version=${encodeURIComponent(version.label)}`}
              download
            >
              <DownloadSimple size={20} aria-hidden className="flex-none" />
              <span className="grid">
                <b>{t(name)}</b>
                <span className="text-soft text-sm">{t(use)}</span>
              </span>
            </a>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
