import { ElMessage } from 'element-plus/es/components/message/index';
import { ElNotification } from 'element-plus/es/components/notification/index';
import 'element-plus/es/components/message/style/css';
import 'element-plus/es/components/notification/style/css';
import { h } from 'vue';
import ActButton from '@/components/form/ActButton.vue';

const UNDO_FOR = 7_000;

/** Says for a moment that something was done; nothing has to be pressed. */
export function say(text: string): void {
  ElMessage({
    message: text,
    type: 'success',
    duration: 3_500,
    grouping: true,
    offset: 60,
    showClose: false,
    icon: h('span'),
  });
}

/**
 * Says what is about to go, with the way back; it goes when the time is up or the page is left.
 *
 * @param text what goes
 * @param undo word of the way back
 * @param back called where it was undone
 * @param act does it; called once where it was not
 * @returns does it at once, for when the page goes
 */
export function undoable(text: string, undo: string, back: () => void, act: () => unknown): () => void {
  let open = true;
  const settle = (really: boolean): void => {
    if (!open) return;
    open = false;
    window.removeEventListener('pagehide', now);
    notice.close();
    if (really) act();
    else back();
  };
  const now = (): void => settle(true);
  const notice = ElNotification({
    title: text,
    message: h(ActButton, { small: true, onClick: () => settle(false) }, () => undo),
    duration: UNDO_FOR,
    position: 'bottom-right',
    showClose: false,
    onClose: now,
  });
  window.addEventListener('pagehide', now);
  return now;
}
