import { fellDay, fellPlace } from '../../../core/fixtures/records';
import { daysWithPlace } from './daysWithPlace';

test('a day whose place is not there is passed over: the views have another day to show, or a new one begins', () => {
  const lost = { ...fellDay, id: 'lost', placeId: 'gone' };
  expect(daysWithPlace({ days: [lost, fellDay], places: [fellPlace] })).toEqual([fellDay]);
  expect(daysWithPlace({ days: [lost], places: [fellPlace] })).toEqual([]);
});
