import { crc32 } from 'node:zlib';

/** A zip with its files stored as they are. */
function zip(files: Record<string, string>): Buffer {
  const bodies: Buffer[] = [];
  const entries: Buffer[] = [];
  let offset = 0;
  for (const [name, text] of Object.entries(files)) {
    const data = Buffer.from(text, 'utf8');
    const nameBytes = Buffer.from(name, 'utf8');
    const common = Buffer.alloc(26);
    common.writeUInt16LE(20, 0);
    common.writeUInt32LE(crc32(data), 10);
    common.writeUInt32LE(data.length, 14);
    common.writeUInt32LE(data.length, 18);
    common.writeUInt16LE(nameBytes.length, 22);
    const local = Buffer.concat([Buffer.from([0x50, 0x4b, 3, 4]), common, nameBytes, data]);
    const rest = Buffer.alloc(14);
    rest.writeUInt32LE(offset, 10);
    entries.push(Buffer.concat([Buffer.from([0x50, 0x4b, 1, 2, 20, 0]), common, rest, nameBytes]));
    bodies.push(local);
    offset += local.length;
  }
  const directory = Buffer.concat(entries);
  const end = Buffer.alloc(22);
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(entries.length, 8);
  end.writeUInt16LE(entries.length, 10);
  end.writeUInt32LE(directory.length, 12);
  end.writeUInt32LE(offset, 16);
  return Buffer.concat([...bodies, directory, end]);
}

const escape = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/** A spreadsheet (XLSX) with one sheet. */
export function workbook(rows: (string | number)[][]): Buffer {
  const relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const packageRelations = 'http://schemas.openxmlformats.org/package/2006/relationships';
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const cell = (value: string | number, row: number, column: number) => {
    const at = `${String.fromCharCode(65 + column)}${row + 1}`;
    return typeof value === 'number'
      ? `<c r="${at}"><v>${value}</v></c>`
      : `<c r="${at}" t="inlineStr"><is><t>${escape(value)}</t></is></c>`;
  };
  const sheet = rows
    .map(
      (row, i) => `<row r="${i + 1}">${row.map((value, j) => (value === '' ? '' : cell(value, i, j))).join('')}</row>`,
    )
    .join('');
  return zip({
    '[Content_Types].xml':
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>',
    '_rels/.rels': `<Relationships xmlns="${packageRelations}"><Relationship Id="r1" Type="${relations}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${relations}"><sheets><sheet name="List" sheetId="1" r:id="s1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${packageRelations}"><Relationship Id="s1" Type="${relations}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
    'xl/worksheets/sheet1.xml': `<worksheet xmlns="${main}"><sheetData>${sheet}</sheetData></worksheet>`,
  });
}
