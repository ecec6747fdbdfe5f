import { untrack } from 'svelte';
import { fromStore } from 'svelte/store';
import { superForm, type SuperForm, type SuperValidated } from 'sveltekit-superforms/client';
import type { CommandName } from '$lib/contract/commands';
import { problemText } from '$lib/browser/actions';
import type { Meanwhile } from '$lib/contract/commands';
import { lookAgain } from '$lib/browser/look-again';
import { CommandRefused } from '$lib/browser/outbox.svelte';
import type { Measured } from './draft';
import { keepsDraft } from './kept.svelte';

/** A sentence beside each field that is wrong, by the field's name; '' for the form as a whole. */
export type FieldErrors = { [field: string]: string | undefined };

/** What was read from the texts of a form: what is to be sent, or what is wrong. */
export type FormRead<P> = { payload?: P; errors: FieldErrors };

type Options<T extends object, P> = {
  /** Names the form on its page. */
  id: string;
  /** The texts as they stand, from the state of the component. */
  texts: () => T;
  /** Reads them: units as typed, into what a command takes. */
  read: (texts: T) => FormRead<P>;
  /** The command that is sent, where its own limits are to be told before it is. */
  command?: CommandName;
  /** Sends what was read. What it throws stands beside its field, or over the form. */
  keep: (payload: P, seen?: object) => Promise<void>;
  /** Empties the form for the next, once it is kept; left alone where somebody has typed on meanwhile. */
  clear?: () => void;
  /** Of an edit: the record as it stands; as it was when the form was opened it goes with what is kept. */
  record?: () => object;
  /** Fills the form with the record as it stands now, where somebody else changed it and that is taken. */
  refill?: () => void;
  /** Fields by the names that the server calls them, where those differ. */
  names?: Record<string, string>;
  /** Kept in this browser under this name until it is saved, and how it comes back. */
  draft?: { key: string; take: (kept: T) => void; measured?: Measured };
};

/**
 * A form whose texts become one command: checked before it is sent, refused beside the field that is meant, kept as a
 * draft until it is taken. Put `use:form.enhance` on the form; call it while the component is set up.
 */
export function commandForm<T extends object, P>(o: Options<T, P>) {
  const forget = o.draft
    ? keepsDraft<T>(o.draft.key, o.draft.take, () => $state.snapshot(o.texts()) as T, o.draft.measured)
    : () => {};
  const named = (field: string) => o.names?.[field] ?? field;
  /** The record as it was when the form was opened, or as somebody has looked at it since. */
  let seen = untrack(() => o.record && ($state.snapshot(o.record()) as object));
  /** What somebody else made of it meanwhile, and what was to be kept. */
  let meanwhile = $state.raw<Meanwhile & { mine: Record<string, unknown> }>();

  /** All that is wrong with the texts: the form's own sentences first, then the limits of the command. */
  async function wrong(): Promise<{ path: string[]; message: string }[]> {
    const read = o.read($state.snapshot(o.texts()) as T);
    const said = Object.entries(read.errors).flatMap(([field, message]) =>
      message ? [{ path: field === '' ? [] : [field], message }] : []
    );
    if (said.length > 0 || !o.command || read.payload === undefined) return said;
    // Fetched by whoever sends a form, not by every page; where it cannot be had, the server says the same.
    const schemas = await import('$lib/contract/commands').catch(() => undefined);
    const checked = schemas?.definitionOf(o.command).body.safeParse(read.payload);
    return (checked?.error?.issues ?? []).map(({ path, message }) => ({
      path: path.length === 0 ? [] : [named(path.join('.'))],
      message
    }));
  }

  /** Told of the press under way, once it is answered: whether what stood in the form was taken. */
  let answered: ((taken: boolean) => void) | undefined;

  const start = untrack(() => ({ ...($state.snapshot(o.texts()) as Record<string, unknown>) }));
  const form: SuperForm<Record<string, unknown>> = superForm<Record<string, unknown>>(
    { id: o.id, valid: true, posted: false, errors: {}, data: start },
    {
      SPA: true,
      dataType: 'json',
      validators: {
        superFormValidationLibrary: 'zod4',
        shape: undefined,
        validate: async (data) => {
          const issues = await wrong();
          return issues.length > 0 ? { success: false, issues } : { success: true, data: data as object };
        }
      },
      validationMethod: 'submit-only',
      resetForm: false,
      invalidateAll: false,
      applyAction: false,
      taintedMessage: null,
      onSubmit: () => {
        form.form.set({ ...($state.snapshot(o.texts()) as Record<string, unknown>) });
      },
      onUpdate: async ({ form: sent }) => {
        await take(sent);
        answered?.(sent.valid);
        answered = undefined;
      }
    }
  );

  async function take(sent: SuperValidated<Record<string, unknown>>): Promise<void> {
    if (!sent.valid) return;
    const texts = $state.snapshot(o.texts()) as T;
    const { payload } = o.read(texts);
    if (payload === undefined) return;
    try {
      await o.keep(payload, seen);
      meanwhile = undefined;
      seen = o.record && ($state.snapshot(o.record()) as object);
      if (o.clear) {
        // The way to the server takes a while: what is in the fields by now may be the next already.
        if (JSON.stringify($state.snapshot(o.texts())) !== JSON.stringify(texts)) return;
        o.clear();
      }
      forget();
    } catch (problem) {
      if (problem instanceof CommandRefused && problem.meanwhile)
        meanwhile = { ...problem.meanwhile, mine: payload as Record<string, unknown> };
      const fields = problem instanceof CommandRefused ? Object.entries(problem.fields) : [];
      sent.valid = false;
      // By their whole names: a dot in one is no path here.
      sent.errors = Object.fromEntries(fields.map(([field, message]) => [named(field), [message]]));
      if (fields.length === 0) sent.errors._errors = [problemText(problem)];
    }
  }

  const errors = fromStore(form.errors);
  const sending = fromStore(form.submitting);
  const sentences = $derived.by(() => {
    const out: Record<string, string> = {};
    for (const [field, said] of Object.entries(errors.current)) {
      const first = Array.isArray(said) ? said[0] : undefined;
      if (typeof first === 'string') out[field === '_errors' ? '' : field] = first;
    }
    return out;
  });

  return {
    id: o.id,
    enhance: form.enhance,
    /** Sentences by field; '' for the form as a whole. */
    get errors(): FieldErrors {
      return sentences;
    },
    get sending() {
      return sending.current;
    },
    /** Sends what stands in the form, as its own button does; whether it was taken. */
    press(): Promise<boolean> {
      const taken = new Promise<boolean>((resolve) => (answered = resolve));
      form.submit();
      return taken;
    },
    /** What somebody else made of the record meanwhile; nobody's change is kept over another unseen. */
    get meanwhile() {
      return meanwhile;
    },
    /** Keeps what stands in the form, now that the other was looked at. */
    keepMine() {
      seen = { ...seen, ...meanwhile?.now };
      form.submit();
    },
    /** Takes what the other made of it into the form. */
    async takeTheirs() {
      await lookAgain().catch(() => {});
      meanwhile = undefined;
      form.errors.set({});
      seen = o.record && ($state.snapshot(o.record()) as object);
      o.refill?.();
    },
    /** Forgets the draft and what was wrong, as where somebody leaves it. */
    clear() {
      form.errors.set({});
      forget();
    }
  };
}
