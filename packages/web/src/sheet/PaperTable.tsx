/** A small table on paper: what its columns are called, and its rows. */
export function PaperTable({
  heads,
  rows,
}: {
  heads: readonly string[];
  rows: ReadonlyArray<readonly string[]>;
}) {
  return (
    <table className="order paper-table">
      <thead>
        <tr>
          {heads.map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.join('|')}>
            {row.map((cell, i) => (
              <td key={heads[i]}>{cell}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
