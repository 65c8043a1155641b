import Checkbox from '@mui/material/Checkbox';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TablePagination from '@mui/material/TablePagination';
import TableRow from '@mui/material/TableRow';
import TableSortLabel from '@mui/material/TableSortLabel';
import Button from '@mui/material/Button';
import { type ReactNode, useMemo, useState } from 'react';

export interface Column<Row> {
  name: string;
  cell: (row: Row) => ReactNode;
  /** Numbers stand to the right. */
  number?: boolean;
  /** What rows are put in order by; left out: they are not. Null stands last. */
  by?: (row: Row) => string | number | null;
  /** Left out where there is no room. */
  wideOnly?: boolean;
}

interface Props<Row> {
  rows: readonly Row[];
  keyOf: (row: Row) => string;
  nameOf: (row: Row) => string;
  columns: readonly Column<Row>[];
  onOpen: (row: Row) => void;
  label: string;
  /** Rows that are ticked, and what to do when that changes; left out: nothing can be ticked. */
  ticked?: { ids: ReadonlySet<string>; set: (ids: ReadonlySet<string>) => void };
}

const PAGE = 60;

/** A plain table: the first column opens the row; long tables are paged. */
export function DocumentTable<Row>({ rows, keyOf, nameOf, columns, onOpen, label, ticked }: Props<Row>) {
  const [page, setPage] = useState(0);
  const [order, setOrder] = useState<{ name: string; down: boolean } | null>(null);
  const heads = useMemo<Column<Row>[]>(
    () => [{ name: 'Name', cell: nameOf, by: nameOf }, ...columns],
    [columns, nameOf],
  );
  const ordered = useMemo(() => {
    const by = heads.find(({ name }) => name === order?.name)?.by;
    return by ? inOrder(rows, by, order?.down ?? false) : rows;
  }, [rows, heads, order]);
  // Up, then down, then as they came.
  const turn = (name: string) =>
    setOrder((was) => (was?.name !== name ? { name, down: false } : was.down ? null : { name, down: true }));
  const shownPage = Math.min(page, Math.floor(Math.max(0, rows.length - 1) / PAGE));
  const shown = ordered.slice(shownPage * PAGE, shownPage * PAGE + PAGE);
  const hidden = (column: Column<Row>) =>
    column.wideOnly ? { display: { xs: 'none', md: 'table-cell' } } : {};
  return (
    <>
      <TableContainer>
        <Table size="small" aria-label={label}>
          <TableHead>
            <TableRow>
              {ticked && (
                <TableCell padding="checkbox">
                  <Checkbox
                    slotProps={{ input: { 'aria-label': 'Tick all that are shown' } }}
                    checked={rows.length > 0 && rows.every((row) => ticked.ids.has(keyOf(row)))}
                    indeterminate={ticked.ids.size > 0 && !rows.every((row) => ticked.ids.has(keyOf(row)))}
                    onChange={(_, on) => ticked.set(new Set(on ? rows.map(keyOf) : []))}
                  />
                </TableCell>
              )}
              {heads.map((column) => (
                <TableCell
                  key={column.name}
                  align={column.number ? 'right' : 'left'}
                  sx={hidden(column)}
                  sortDirection={order?.name === column.name && (order.down ? 'desc' : 'asc')}
                >
                  {column.by ? (
                    <TableSortLabel
                      active={order?.name === column.name}
                      direction={order?.name === column.name && order.down ? 'desc' : 'asc'}
                      onClick={() => turn(column.name)}
                      sx={{ minHeight: 44 }}
                    >
                      {column.name}
                    </TableSortLabel>
                  ) : (
                    column.name
                  )}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {shown.map((row) => (
              <TableRow key={keyOf(row)} hover>
                {ticked && (
                  <TableCell padding="checkbox">
                    <Checkbox
                      slotProps={{ input: { 'aria-label': `Tick ${nameOf(row)}` } }}
                      checked={ticked.ids.has(keyOf(row))}
                      onChange={(_, on) => {
                        const ids = new Set(ticked.ids);
                        if (on) ids.add(keyOf(row));
                        else ids.delete(keyOf(row));
                        ticked.set(ids);
                      }}
                    />
                  </TableCell>
                )}
                <TableCell component="th" scope="row" sx={{ py: 0 }}>
                  <Button
                    onClick={() => onOpen(row)}
                    sx={{ px: 0, textAlign: 'left', justifyContent: 'flex-start', lineHeight: 1.25 }}
                  >
                    {nameOf(row)}
                  </Button>
                </TableCell>
                {columns.map((column) => (
                  <TableCell key={column.name} align={column.number ? 'right' : 'left'} sx={hidden(column)}>
                    {column.cell(row)}
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
      {rows.length > PAGE && (
        <TablePagination
          component="div"
          count={rows.length}
          page={shownPage}
          rowsPerPage={PAGE}
          rowsPerPageOptions={[PAGE]}
          onPageChange={(_, next) => setPage(next)}
        />
      )}
    </>
  );
}

const inWords = new Intl.Collator('en', { numeric: true });
function inOrder<Row>(rows: readonly Row[], by: (row: Row) => string | number | null, down: boolean): Row[] {
  return rows
    .map((row) => ({ row, key: by(row) }))
    .sort(({ key: a }, { key: b }) => {
      if (a === null || b === null) return Number(a === null) - Number(b === null);
      const way =
        typeof a === 'number' && typeof b === 'number' ? a - b : inWords.compare(String(a), String(b));
      return down ? -way : way;
    })
    .map(({ row }) => row);
}
