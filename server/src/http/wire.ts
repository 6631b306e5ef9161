/** A core type as it arrives in a request: the same members, with arrays that Joi's types can describe. */
export type Wire<T> = T extends readonly (infer Item)[]
  ? Wire<Item>[]
  : T extends object
    ? { -readonly [Key in keyof T]: Wire<T[Key]> }
    : T;
