import {
  Document,
  Page,
  Path,
  Rect,
  StyleSheet,
  Svg,
  Text,
  View,
  renderToBuffer,
  Image,
} from '@react-pdf/renderer';
import { SIGN_ICONS } from '@/core/figure';
import {
  type Handout,
  type HandoutExercise,
  type HandoutWeek,
  MOST_BOXES,
  type Paper,
} from '@/core/handout';
import { PDF_FONTS, missingInPdf, registerPdfFonts } from './fonts';
import { Picture } from './picture';
import { qrPath } from './qr-path';

const INK = '#111111';
const LINE = '#777777';

function stylesOf(large: boolean) {
  const base = large ? 14 : 10.5;
  return StyleSheet.create({
    page: {
      fontFamily: PDF_FONTS,
      fontSize: base,
      color: INK,
      paddingHorizontal: 36,
      paddingTop: 32,
      paddingBottom: 44,
    },
    // On the page itself a line height makes the library lose what is fixed to it.
    body: { fontSize: base, lineHeight: 1.32 },
    head: {
      flexDirection: 'row',
      borderBottomWidth: 1.6,
      borderColor: INK,
      paddingBottom: 6,
      marginBottom: 4,
    },
    title: { fontSize: base * 1.5, lineHeight: 1.25, fontWeight: 700, marginBottom: 3 },
    name: { fontSize: base * 1.15, fontWeight: 700, marginBottom: 2 },
    exercise: {
      flexDirection: 'row',
      borderBottomWidth: 0.7,
      borderColor: LINE,
      paddingVertical: 6,
    },
    pictures: { width: large ? 158 : 172, flexDirection: 'row', flexWrap: 'wrap', gap: 5 },
    picture: { width: large ? 76 : 82 },
    signs: { width: '100%', flexDirection: 'row', flexWrap: 'wrap', gap: 9 },
    sign: { flexDirection: 'row', alignItems: 'center', gap: 3 },
    caption: { fontSize: base * 0.74, lineHeight: 1.2 },
    words: { flex: 1, marginLeft: 12 },
    numbers: {
      fontWeight: 700,
      borderLeftWidth: 3,
      borderColor: INK,
      paddingLeft: 6,
      marginBottom: 3,
    },
    bold: { fontWeight: 700 },
    line: { marginBottom: 2 },
    step: { flexDirection: 'row', marginBottom: 1.5 },
    stepNumber: { width: base * 1.4 },
    week: { marginTop: 8 },
    row: { flexDirection: 'row', borderBottomWidth: 0.7, borderColor: LINE },
    first: { width: '30%', padding: 3 },
    cell: {
      width: '10%',
      padding: 3,
      borderLeftWidth: 0.7,
      borderColor: LINE,
      flexDirection: 'row',
      flexWrap: 'wrap',
      justifyContent: 'center',
      alignItems: 'center',
    },
    small: { fontSize: base * 0.82 },
    stop: { borderWidth: 2, borderColor: INK, padding: 8, marginTop: 10, marginBottom: 6 },
    missing: {
      borderWidth: 1,
      borderStyle: 'dashed',
      borderColor: INK,
      padding: 4,
      marginBottom: 4,
    },
    foot: {
      position: 'absolute',
      bottom: 20,
      left: 36,
      right: 36,
      flexDirection: 'row',
      justifyContent: 'space-between',
      fontSize: base * 0.78,
    },
  });
}
type Styles = ReturnType<typeof stylesOf>;

/** A handout as a PDF: real text, black and white safe. */
export async function handoutPdf(
  handout: Handout,
  paper: Paper,
  large: boolean,
): Promise<Uint8Array<ArrayBuffer>> {
  registerPdfFonts();
  const styles = stylesOf(large);
  const missing = missingInPdf(textOf(handout));
  const bytes = await renderToBuffer(
    <Document
      title={`${handout.patientName}: ${handout.words.file}`}
      author={handout.clinic.name}
      subject={handout.words.about}
      creator="Dry Lantern"
      producer="Dry Lantern"
      language={handout.language}
      pageMode="useNone"
    >
      <Page size={paper === 'a4' ? 'A4' : 'LETTER'} style={styles.page} wrap>
        <View style={styles.foot} fixed>
          <Text>{`${handout.clinic.name}, ${handout.clinic.phone}`}</Text>
          <Text
            render={({ pageNumber, totalPages }) =>
              handout.words.foot
                .replace('{page}', String(pageNumber))
                .replace('{pages}', String(totalPages))
            }
          />
        </View>
        <View style={styles.body}>
          <Head handout={handout} styles={styles} />
          {missing.length > 0 && (
            <View style={styles.missing}>
              <Text>
                {handout.words.missing.replace(
                  '{letters}',
                  missing
                    .map((letter) => `U+${(letter.codePointAt(0) ?? 0).toString(16).toUpperCase()}`)
                    .join(', '),
                )}
              </Text>
            </View>
          )}
          {handout.words.shared !== '' && (
            <Text style={styles.numbers}>{handout.words.shared}</Text>
          )}
          {handout.exercises.map((exercise, index) => (
            <Exercise
              noDrawing={handout.words.noDrawing}
              key={exercise.lineage}
              exercise={exercise}
              nth={index + 1}
              styles={styles}
              large={large}
            />
          ))}
          <Week
            week={handout.week}
            title={handout.words.week}
            exercise={handout.words.exercise}
            styles={styles}
          />
          <Stop handout={handout} styles={styles} />
          <Text style={styles.line}>{handout.normalSigns}</Text>
          <Text style={styles.small}>{handout.caution}</Text>
        </View>
      </Page>
    </Document>,
  );
  return new Uint8Array(bytes);
}

/** Every word of a handout that a person typed. */
function textOf({ patientName, clinic, exercises }: Handout): string {
  return [
    patientName,
    clinic.name,
    clinic.phone,
    clinic.emergencyText,
    ...exercises.flatMap((exercise) => [
      exercise.name,
      exercise.complaint,
      ...exercise.steps,
      exercise.howMany,
      ...exercise.own,
      ...exercise.about,
      exercise.stop,
    ]),
  ].join(' ');
}

function Head({ handout, styles }: { handout: Handout; styles: Styles }) {
  const { path, size } = qrPath(handout.address);
  return (
    <View style={styles.head}>
      <View style={{ flex: 1 }}>
        <Text style={styles.title}>{handout.words.title}</Text>
        <Text>{`${handout.clinic.name}, ${handout.clinic.phone}`}</Text>
        <Text>{handout.words.head.join(' ')}</Text>
      </View>
      <View style={{ width: 74, alignItems: 'center' }}>
        <Svg width={70} height={70} viewBox={`-2 -2 ${size + 4} ${size + 4}`}>
          <Path d={path} fill="#000000" />
        </Svg>
        <Text style={styles.caption}>{handout.words.page}</Text>
      </View>
    </View>
  );
}

/** What the dose asks for, as signs; the numbers in words stand beside them. */
function Signs({ exercise, styles }: { exercise: HandoutExercise; styles: Styles }) {
  return (
    <View style={styles.signs}>
      {exercise.signs.map(({ kind, text }) => (
        <View key={kind} style={styles.sign}>
          <Svg width={13} height={13} viewBox="0 0 24 24">
            <Path d={SIGN_ICONS[kind]} fill="none" stroke={INK} strokeWidth={2} />
          </Svg>
          <Text style={styles.bold}>{text}</Text>
        </View>
      ))}
    </View>
  );
}

function Exercise({
  exercise,
  nth,
  noDrawing,
  styles,
  large,
}: {
  exercise: HandoutExercise;
  nth: number;
  noDrawing: string;
  styles: Styles;
  large: boolean;
}) {
  const { pictures } = exercise;
  return (
    <View style={styles.exercise} wrap={false}>
      <View style={styles.pictures}>
        {pictures.map(({ name, drawing }) => (
          <View key={name} style={styles.picture}>
            <Picture drawing={drawing} width={large ? 74 : 80} />
            <Text style={styles.caption}>{name}</Text>
          </View>
        ))}
        {exercise.photos.map(({ address, words }) => (
          <View key={address} style={styles.picture}>
            <Image
              src={address}
              style={{ width: large ? 74 : 80, maxHeight: 108, objectFit: 'cover' }}
            />
            <Text style={styles.caption}>{words}</Text>
          </View>
        ))}
        {exercise.side !== '' && (
          <Text style={[styles.caption, styles.bold, { width: '100%' }]}>{exercise.side}</Text>
        )}
        <Signs exercise={exercise} styles={styles} />
        {pictures.length === 0 && <Text style={styles.caption}>{noDrawing}</Text>}
      </View>
      <View style={styles.words}>
        <Text style={styles.name}>{`${nth}. ${exercise.name}`}</Text>
        {exercise.complaint !== '' && <Text style={styles.line}>{exercise.complaint}</Text>}
        <Text style={styles.numbers}>{exercise.numbers}</Text>
        {exercise.numbersBeside !== '' && (
          <Text style={[styles.small, styles.line]}>{exercise.numbersBeside}</Text>
        )}
        {exercise.steps.map((step, index) => (
          <View key={step} style={styles.step}>
            <Text style={styles.stepNumber}>{`${index + 1}.`}</Text>
            <Text style={{ flex: 1 }}>{step}</Text>
          </View>
        ))}
        {exercise.own.map((one) => (
          <Text key={one} style={[styles.bold, styles.line]}>
            {one}
          </Text>
        ))}
        {exercise.howMany !== '' && <Text style={styles.line}>{exercise.howMany}</Text>}
        <Text>{[...exercise.about, exercise.stop].filter((one) => one !== '').join(' ')}</Text>
      </View>
    </View>
  );
}

function Week({
  week,
  title,
  exercise,
  styles,
}: {
  week: HandoutWeek;
  title: string;
  exercise: string;
  styles: Styles;
}) {
  return (
    <View style={styles.week}>
      <View wrap={false}>
        <Text style={styles.name}>{title}</Text>
        <View style={[styles.row, { borderTopWidth: 0.7 }, styles.small]}>
          <Text style={styles.first}>{exercise}</Text>
          {week.days.map((day) => (
            <View key={day} style={styles.cell}>
              <Text>{day}</Text>
            </View>
          ))}
        </View>
      </View>
      {week.rows.map(({ name, due, asNeeded }, index) => (
        <View key={index} style={[styles.row, styles.small]} wrap={false}>
          <Text style={styles.first}>{name}</Text>
          {due.map(({ times }, day) => (
            <View key={week.days[day]} style={styles.cell}>
              <Boxes due={times} asNeeded={asNeeded} />
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

function Boxes({ due, asNeeded }: { due: number; asNeeded: boolean }) {
  if (due === 0) return <Text>{asNeeded ? '( )' : '–'}</Text>;
  return (
    <>
      {Array.from({ length: due > MOST_BOXES ? 1 : due }, (_, index) => (
        <Svg key={index} width={13} height={13} viewBox="0 0 13 13">
          <Rect x={1.5} y={1.5} width={10} height={10} stroke={INK} strokeWidth={1} fill="none" />
        </Svg>
      ))}
      {due > MOST_BOXES && <Text>{`× ${due}`}</Text>}
    </>
  );
}

function Stop({ handout, styles }: { handout: Handout; styles: Styles }) {
  const { clinic } = handout;
  return (
    <View style={styles.stop} wrap={false}>
      <Text style={styles.name}>{handout.words.stop}</Text>
      {[...handout.stopSigns, ...handout.stopBeside].map((sign) => (
        <View key={sign} style={styles.step}>
          <Text style={styles.stepNumber}>•</Text>
          <Text style={{ flex: 1 }}>{sign}</Text>
        </View>
      ))}
      <Text style={styles.bold}>{handout.words.call}</Text>
      <Text style={styles.bold}>{clinic.emergencyText}</Text>
    </View>
  );
}
