export {
  guessDateOrder, harmless, matchColumns, personKey, readDate, readSquad, readTable, SQUAD_FIELDS, writeSquad,
  type ColumnMatch, type DateOrder, type RawTable, type RowProblem, type SquadField, type SquadRow,
} from './squadTable.ts';
