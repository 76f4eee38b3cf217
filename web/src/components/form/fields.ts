/** What every field of the kit takes. */
export interface FieldProps {
  label?: string | undefined;
  /** What is wrong with the answer, as the server says it. */
  fault?: string | null | undefined;
  help?: string | undefined;
  /** In a cell of a table: the words are for the ear only. What is wrong with a whole row is told by the row. */
  bare?: boolean;
  width?: string | undefined;
  disabled?: boolean;
  readonly?: boolean;
}
