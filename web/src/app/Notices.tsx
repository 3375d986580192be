import '@mantine/core/styles/Notification.css';
import '@mantine/notifications/styles.css';
import { Notifications } from '@mantine/notifications';

/** Where it is told what was done, with the way back. */
export function Notices() {
  return <Notifications position="bottom-left" />;
}
