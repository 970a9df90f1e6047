import { Document, Page, StyleSheet, Text, View, renderToBuffer } from '@react-pdf/renderer';
import type { LetterTexts, OutcomeLetter } from '@/core/review';
import { PDF_FONTS, registerPdfFonts } from './fonts';

/** The letter is one page: a long one is set smaller. */
const SIZES = [10.5, 9, 7.8] as const;

const stylesOf = (size: number) =>
  StyleSheet.create({
    page: { fontFamily: PDF_FONTS, fontSize: size, color: '#111111', padding: size > 10 ? 48 : 40 },
    body: { lineHeight: 1.35 },
    head: { flexDirection: 'row', justifyContent: 'space-between', marginBottom: 14 },
    title: { fontSize: size * 1.4, fontWeight: 700, lineHeight: 1.3, marginBottom: 6 },
    bold: { fontWeight: 700, marginTop: 8, marginBottom: 2 },
    text: { marginBottom: 4 },
    row: {
      flexDirection: 'row',
      borderBottomWidth: 0.6,
      borderColor: '#888888',
      paddingVertical: 2,
    },
    name: { width: '32%' },
    value: { width: '20%' },
    verdict: { width: '28%' },
    small: { fontSize: size * 0.8, marginTop: 10 },
  });

/** A letter as one page of PDF: real text, in one of the languages it was written in. */
export async function letterPdf(
  letter: OutcomeLetter,
  texts: LetterTexts,
  paper: 'a4' | 'letter',
): Promise<Uint8Array<ArrayBuffer>> {
  registerPdfFonts();
  let bytes = new Uint8Array<ArrayBuffer>(new ArrayBuffer(0));
  for (const size of SIZES) {
    bytes = await rendered(letter, texts, paper, size);
    if (pagesIn(bytes) === 1) break;
  }
  return bytes;
}

/** Page objects of a PDF as its library writes them. */
function pagesIn(bytes: Uint8Array): number {
  return (
    Buffer.from(bytes)
      .toString('latin1')
      .match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0
  );
}

async function rendered(
  letter: OutcomeLetter,
  texts: LetterTexts,
  paper: 'a4' | 'letter',
  size: number,
): Promise<Uint8Array<ArrayBuffer>> {
  const styles = stylesOf(size);
  const { clinic, author, words } = letter;
  const { language, title, date, paragraphs, measures, goals, programme, caution } = texts;
  const buffer = await renderToBuffer(
    <Document title={title} author={clinic.name} language={language}>
      <Page size={paper === 'a4' ? 'A4' : 'LETTER'} style={styles.page}>
        <View style={styles.body}>
          <View style={styles.head}>
            <Text>
              {clinic.name}, {clinic.phone}
            </Text>
            <Text>{date}</Text>
          </View>
          <Text style={styles.title}>{title}</Text>
          {paragraphs.map((text) => (
            <Text key={text} style={styles.text}>
              {text}
            </Text>
          ))}
          {measures.items.length > 0 && (
            <View>
              <Text style={styles.bold}>{measures.title}</Text>
              {measures.items.map(({ name, first, last, verdict }) => (
                <View key={name} style={styles.row}>
                  <Text style={styles.name}>{name}</Text>
                  <Text style={styles.value}>{first}</Text>
                  <Text style={styles.value}>{last}</Text>
                  <Text style={styles.verdict}>{verdict}</Text>
                </View>
              ))}
            </View>
          )}
          <List styles={styles} {...goals} />
          <List styles={styles} {...programme} />
          {words !== '' && <Text style={styles.bold}>{words}</Text>}
          <Text style={{ marginTop: 14 }}>{author}</Text>
          <Text style={styles.small}>{caution}</Text>
        </View>
      </Page>
    </Document>,
  );
  return new Uint8Array(buffer);
}

function List({
  styles,
  title,
  items,
}: {
  styles: ReturnType<typeof stylesOf>;
  title: string;
  items: readonly string[];
}) {
  if (items.length === 0) return null;
  return (
    <View>
      <Text style={styles.bold}>{title}</Text>
      {items.map((item) => (
        <Text key={item} style={styles.text}>
          · {item}
        </Text>
      ))}
    </View>
  );
}
