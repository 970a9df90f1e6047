import { PAPER_PALETTE, paletteCss } from '@/core/figure';

/**
 * The look of a handout, on a page of ours, in print and in a file by itself: black on white, told
 * apart without colour, in millimetres.
 */
export const HANDOUT_CSS = `
.handout{color:#111;background:#fff;font:11pt/1.35 'Atkinson Hyperlegible Next Variable','Atkinson Hyperlegible Next','Noto Sans','Noto Sans Arabic Variable','Noto Sans Arabic',sans-serif;max-width:186mm;padding:8mm}
.handout.large{font-size:14.5pt}
.handout h1{font-size:1.5em;margin:0}.handout h2{font-size:1.18em;margin:0 0 1mm}
.handout p,.handout ol,.handout ul{margin:0 0 1.2mm}.handout ol{padding-inline-start:5.5mm;list-style:decimal}.handout ul{padding-inline-start:5mm;list-style:disc}
.handout header{display:flex;gap:6mm;align-items:flex-start;border-bottom:.6mm solid #111;padding-bottom:3mm;margin-bottom:3mm}
.handout header>div{flex:1;min-width:0}.handout .qr{width:26mm;flex:none;font-size:.72em;text-align:center}.handout .qr svg{width:26mm;display:block}
.handout .exercise{display:grid;grid-template-columns:62mm 1fr;gap:5mm;border-bottom:.25mm solid #777;padding:2.5mm 0;break-inside:avoid}
.handout .pictures{display:flex;flex-wrap:wrap;gap:2mm;align-content:flex-start}.handout .pictures figure{margin:0;width:29mm;font-size:.72em;line-height:1.2}
.handout .pictures figure svg,.handout .pictures figure img{width:29mm;height:auto;max-height:38mm;display:block}.handout .pictures figure img{object-fit:cover;border:.2mm solid}
.handout .key{display:flex;flex-wrap:wrap;gap:1mm 5mm;font-size:.8em;margin:2mm 0}.handout .key div{display:flex;gap:1.5mm;align-items:center}.handout .key svg{width:8mm;height:6mm}.handout .key dt,.handout .key dd{margin:0}
.handout .side{width:100%;margin:0;font-weight:650;font-size:.85em}.handout .signs{display:flex;flex-wrap:wrap;gap:1mm 4mm;width:100%;margin:0;font-weight:650}.handout .sign{display:inline-flex;align-items:center;gap:1mm}
.handout .numbers{font-weight:650;border-inline-start:1.2mm solid #111;padding-inline-start:2mm}.handout .beside{font-size:.85em;border-inline-start:.3mm solid #777;padding-inline-start:2mm}.handout svg{direction:ltr}
.handout .own{font-weight:650}
.handout table{border-collapse:collapse;width:100%;font-size:.86em;margin:1mm 0 3mm}.handout th,.handout td{border:.25mm solid #777;padding:1mm 1.2mm;text-align:center;vertical-align:middle}
.handout tbody th,.handout thead th:first-child{text-align:start;font-weight:500}
.handout .box{display:inline-block;width:4.2mm;height:4.2mm;border:.35mm solid #111;margin:.3mm;vertical-align:middle}
.handout .stop{border:.8mm solid #111;padding:2.5mm 3mm;margin:3mm 0;break-inside:avoid}.handout .week{break-inside:avoid}
.handout .small{font-size:.8em;color:#333}
.handout .sr{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.handout .missing{border:.4mm dashed #111;padding:1mm 2mm}
${paletteCss('.handout svg.figure', PAPER_PALETTE)}
@media screen and (max-width:640px){.handout{padding:4mm;overflow-wrap:anywhere}.handout .exercise{grid-template-columns:minmax(0,1fr)}.handout header{flex-wrap:wrap}.handout .pictures figure,.handout .pictures figure svg,.handout .pictures figure img{width:34mm}.handout .week{overflow-x:auto}}
@media print{.handout{padding:0;max-width:none}}
`;
