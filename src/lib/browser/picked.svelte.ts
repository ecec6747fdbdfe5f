let id = $state<string | null>(null);

/** The jar picked on the shelf by number, by `n`, or by opening it; keys act on it. */
export const picked = {
  get id() {
    return id;
  },
  set id(value: string | null) {
    id = value;
  }
};
