/** The value below which so great a share of them lies. */
export const at = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * share)] ?? 0;

export const ms = (value) => `${value < 10 ? value.toFixed(1) : Math.round(value)} ms`;
export const megabytes = (value) => `${Math.round(value)} MB`;

/** What was measured, line by line, printed at the end as a table. */
export function table() {
  const rows = [];
  return {
    row: (what, value) => rows.push([what, value]),
    print() {
      console.log('\n| what | measured |\n|---|---|');
      for (const cells of rows) console.log(`| ${cells.join(' | ')} |`);
    },
  };
}
