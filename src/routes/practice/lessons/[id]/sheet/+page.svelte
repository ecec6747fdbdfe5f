<script lang="ts">
  import { scoreSheet, sheetTasks, type SheetGiven } from '$lib/core';
  import type { AnswerRecord, OwnSheet } from '$lib/contract/records/lesson';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import OwnSheetView from '$lib/ui/practice/lessons/OwnSheetView.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const w = t.lessons;
  const { lesson } = $derived(data);
  let answers = $state.raw<AnswerRecord[]>([]);
  let handedInAt = $state<number | null>(null);
  const own = $derived<OwnSheet>({
    lesson: { ...lesson, closedAt: null },
    learner: {
      id: '',
      name: w.previewName,
      groupName: '',
      joinedAt: lesson.createdAt,
      seenAt: lesson.createdAt,
      handedInAt,
      onDevice: true
    },
    answers
  });

  /** Scored as a learner's is; kept on this page only. */
  async function answer(no: number, given: SheetGiven) {
    const task = sheetTasks(lesson.items, lesson.seed).find((one) => one.no === no);
    const score = (task && scoreSheet(task, given)) ?? null;
    answers = [
      ...answers.filter((one) => one.no !== no),
      { id: String(no), no, given, score, mark: null, at: lesson.createdAt }
    ];
  }
</script>

<BackLink href="/practice/lessons/{lesson.id}" label={lesson.title} />
<p class="mt-3 max-w-reading">{w.preview}</p>
<OwnSheetView {own} onanswer={answer} onhandin={async () => void (handedInAt = lesson.createdAt)} />
