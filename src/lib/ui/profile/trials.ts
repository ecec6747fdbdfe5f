import { allowNotices, showNotice, speak } from '$lib/browser/alerts.svelte';
import { playCall, wakeSound } from '$lib/browser/sounds';
import { screenCanStayOn } from '$lib/browser/wake';
import { t } from '$lib/words';
import type { Profile } from '$lib/words/profile';

/** Ways in which the bench calls. */
export type Alert = 'sound' | 'spoken' | 'notices' | 'title' | 'screen';

const TITLE_MS = 5000;

/** Tries a way of calling: it does what it would do, and says whether nothing stood in its way. */
export async function tryAlert(alert: Alert, profile: Pick<Profile, 'sound'>): Promise<boolean> {
  switch (alert) {
    case 'sound':
      wakeSound();
      await new Promise((resolve) => setTimeout(resolve, 60));
      return playCall(profile.sound);
    case 'spoken':
      return speak(t.profile.trialLine);
    case 'notices':
      return (
        (await allowNotices()) && showNotice({ key: 'trial', line: t.profile.trialLine, path: '/profile' })
      );
    case 'title':
      showTitle();
      return true;
    case 'screen':
      return screenCanStayOn();
  }
}

/** The title and the sign of the tab as they are while something is due, for a moment. */
function showTitle(): void {
  const before = document.title;
  document.title = t.profile.trialTitle;
  const icon = Object.assign(document.createElement('link'), { rel: 'icon', href: '/favicon-due.svg' });
  document.head.append(icon);
  setTimeout(() => {
    document.title = before;
    icon.remove();
  }, TITLE_MS);
}
