/** One thing wrong with what was entered, and where. */
export interface FieldError {
  readonly path: string;
  readonly message: string;
}
