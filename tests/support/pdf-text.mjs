/** Reads the text of the PDF given on standard input, a page a line, as JSON: a second opinion on what was written. */
import { extractText, getDocumentProxy } from 'unpdf';

const pieces = [];
for await (const piece of process.stdin) pieces.push(piece);
const pdf = await getDocumentProxy(new Uint8Array(Buffer.concat(pieces)));
const { text } = await extractText(pdf, { mergePages: false });
const { info } = await pdf.getMetadata();
process.stdout.write(JSON.stringify({ pages: text, title: info.Title ?? '' }));
