import { unzipSync, type UnzipFileInfo, zipSync } from 'fflate';
import { hashOf } from '../core/hashOf';
import { type Issue, issue } from '../core/issues';
import { err, errs, ok, type Result } from '../core/result';
import type { Attachment } from '../records/attachment';
import { ZIP_FOLDER, ZIP_WORKSHOP } from './fileTypes';

/** What a zip may be at most: files, bytes of one file unpacked, of the workshop, of all, and how many times smaller packed. */
const MOST = {
  files: 50_000,
  oneBytes: 100_000_000,
  allBytes: 4_000_000_000,
  /** Text packs a hundred times smaller at most; what packs smaller is made to burst. */
  ratio: 300,
} as const;

const ATTACHMENT = /^attachments\/([0-9a-f]{64})(?:\.([a-z0-9]{1,8}))?$/;

const ENDINGS: ReadonlyArray<readonly [ending: string, type: string]> = [
  ['jpg', 'image/jpeg'],
  ['png', 'image/png'],
  ['webp', 'image/webp'],
];
const PLAIN = 'application/octet-stream';
const endingOf = (type: string): string => {
  const found = ENDINGS.find(([, t]) => t === type)?.[0];
  return found === undefined ? '' : `.${found}`;
};
/** How the bytes of a picture begin. Sources: ITU T.81 (JPEG), ISO/IEC 15948 (PNG), RFC 9649 (WebP). */
const BEGINS: Readonly<Record<string, ReadonlyArray<readonly [at: number, bytes: readonly number[]]>>> = {
  jpg: [[0, [0xff, 0xd8, 0xff]]],
  png: [[0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]]],
  webp: [
    [0, [0x52, 0x49, 0x46, 0x46]],
    [8, [0x57, 0x45, 0x42, 0x50]],
  ],
};
/** Whether bytes are what the ending of their name says; what has no ending of a picture says nothing. */
const isWhatItSays = (bytes: Uint8Array, ending: string | undefined): boolean =>
  (BEGINS[ending ?? ''] ?? []).every(([at, begin]) => begin.every((byte, i) => bytes[at + i] === byte));

const typeOf = (ending: string | undefined): string => ENDINGS.find(([e]) => e === ending)?.[1] ?? PLAIN;

/** Whether bytes begin as a zip does. Source: APPNOTE.TXT of the ZIP format, local file header. */
export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** A workshop and its attachments as a zip. Attachments are packed already, and stored as they are. */
export const packZip = (workshop: Uint8Array, attachments: readonly Attachment[], at: Date): Uint8Array =>
  zipSync(
    {
      [ZIP_WORKSHOP]: [workshop, { level: 6 }],
      ...Object.fromEntries(
        attachments.map(({ hash, type, bytes }) => [
          `${ZIP_FOLDER}${hash}${endingOf(type)}`,
          [bytes, { level: 0 }] as const,
        ]),
      ),
    },
    { mtime: at },
  );

/** Told of each file of a zip, and of how many there are. */
export type OnFile = (done: number, of: number) => void;

/** Looks at every file of a zip before anything is unpacked. */
const inspector = () => {
  const issues: Issue[] = [];
  const seen = new Set<string>();
  let all = 0;
  const wrong = (name: string, detail: string): false => {
    if (issues.length < 20) issues.push(issue('ZIP_UNREADABLE', name.slice(0, 120), { detail }));
    return false;
  };
  const takes = ({ name, size, originalSize }: UnzipFileInfo): boolean => {
    if (issues.length > 0) return false;
    if (seen.size >= MOST.files) return wrong('', `More than ${MOST.files} files.`);
    if (seen.has(name)) return wrong(name, 'This name is there twice.');
    seen.add(name);
    all += originalSize;
    if (name !== ZIP_WORKSHOP && !ATTACHMENT.test(name))
      return wrong(name, 'A workshop has no file of that name.');
    if (originalSize > MOST.oneBytes || all > MOST.allBytes)
      return wrong(name, 'It unpacks to too much data.');
    if (originalSize > MOST.ratio * Math.max(size, 1000))
      return wrong(name, 'It unpacks to far more than its own size.');
    return true;
  };
  return { takes, issues };
};

/**
 * Unpacks a workshop and its attachments, each checked against its hash. Nothing is unpacked before every name and size was looked at.
 * Fails with ZIP_UNREADABLE or ATTACHMENT_WRONG.
 * @param onFile told of each file that was looked through, and of how many there are
 */
export const unpackZip = (
  bytes: Uint8Array,
  at: string,
  onFile: OnFile = () => undefined,
): Result<{ readonly workshop: Uint8Array; readonly attachments: readonly Attachment[] }> => {
  const { takes, issues } = inspector();
  try {
    // The first pass unpacks nothing.
    unzipSync(bytes, { filter: file => takes(file) && false });
    if (issues.length > 0) return errs(issues);
    const files = unzipSync(bytes);
    const workshop = files[ZIP_WORKSHOP];
    if (!workshop)
      return err(issue('ZIP_UNREADABLE', ZIP_WORKSHOP, { detail: 'There is no workshop in it.' }));
    const wrong: Issue[] = [];
    const all = Object.entries(files);
    const attachments = all.flatMap(([name, content], i): Attachment[] => {
      onFile(i + 1, all.length);
      const [, hash, ending] = ATTACHMENT.exec(name) ?? [];
      if (hash === undefined) return [];
      if (hashOf(content) !== hash) {
        wrong.push(issue('ATTACHMENT_WRONG', name));
        return [];
      }
      if (!isWhatItSays(content, ending)) {
        wrong.push(issue('ATTACHMENT_WRONG', name, { detail: 'It is no picture.' }));
        return [];
      }
      return [{ hash, type: typeOf(ending), bytes: content, at }];
    });
    return wrong.length > 0 ? errs(wrong) : ok({ workshop, attachments });
  } catch (error) {
    return err(issue('ZIP_UNREADABLE', '', { detail: error instanceof Error ? `${error.message}.` : '' }));
  }
};
