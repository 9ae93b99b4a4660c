/** What was found in a folder, as a table of Markdown with what nobody noticed. */
export function tableOf({ folder, results }) {
  const noticed = results.filter((one) => one.noticed).length;
  const share = results.length === 0 ? '–' : `${((100 * noticed) / results.length).toFixed(1)} %`;
  const row = `| ${folder} | ${results[0]?.of ?? 0} | ${results.length} | ${noticed} | ${share} |`;
  const missed = results.filter((one) => !one.noticed);
  missed.sort((a, b) => a.file.localeCompare(b.file) || a.line - b.line);
  return [row, ...missed.map((one) => `  ${one.file}:${one.line} ${one.status} ${one.was}  →  ${one.instead}`)].join(
    '\n',
  );
}
