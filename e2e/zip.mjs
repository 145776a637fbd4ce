import { crc32 } from 'node:zlib';

/** A zip with its files stored as they are: enough for a roster made in a test. */
export function zip(files) {
  const parts = [],
    directory = [];
  let at = 0;
  for (const [name, text] of Object.entries(files)) {
    const data = Buffer.from(text),
      label = Buffer.from(name),
      head = Buffer.alloc(30);
    head.writeUInt32LE(0x04034b50, 0);
    head.writeUInt16LE(20, 4);
    head.writeUInt32LE(crc32(data), 14);
    head.writeUInt32LE(data.length, 18);
    head.writeUInt32LE(data.length, 22);
    head.writeUInt16LE(label.length, 26);
    const entry = Buffer.alloc(46);
    entry.writeUInt32LE(0x02014b50, 0);
    entry.writeUInt16LE(20, 4);
    entry.writeUInt16LE(20, 6);
    head.copy(entry, 16, 14, 26);
    entry.writeUInt16LE(label.length, 28);
    entry.writeUInt32LE(at, 42);
    parts.push(head, label, data);
    directory.push(entry, label);
    at += head.length + label.length + data.length;
  }
  const list = Buffer.concat(directory),
    end = Buffer.alloc(22),
    n = Object.keys(files).length;
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(n, 8);
  end.writeUInt16LE(n, 10);
  end.writeUInt32LE(list.length, 12);
  end.writeUInt32LE(at, 16);
  return Buffer.concat([...parts, list, end]);
}
