/** Hands a plan to the browser as a calendar; the writer is fetched only then. */
import { saveFile } from './save-file';

export interface CalendarEvent {
  /** The same each time it is saved, so that a calendar takes it as the same. */
  readonly id: string;
  readonly start: Date;
  readonly end: Date;
  readonly title: string;
  readonly notes: string;
}

export async function saveCalendar(name: string, events: readonly CalendarEvent[]): Promise<void> {
  const { default: ical } = await import('ical-generator');
  const calendar = ical({ name, prodId: { company: 'Tide Pebble', product: 'Build', language: 'EN' } });
  for (const { id, start, end, title, notes } of events)
    calendar.createEvent({ id, start, end, summary: title, description: notes });
  saveFile(`${name}.ics`, calendar.toString(), 'text/calendar;charset=utf-8');
}
