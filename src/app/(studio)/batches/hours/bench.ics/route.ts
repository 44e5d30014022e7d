import { currentMember } from '@/app/lib/member';
import { sent } from '@/app/lib/sent';
import { benchCalendar } from '@/studio/schedule/benchCalendar';
import { showSchedule } from '@/studio/schedule/benchHours';

/** The bench plan for a calendar. */
export async function GET(): Promise<Response> {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const calendar = benchCalendar(await showSchedule(member.session));
  return sent('bench.ics', 'text/calendar; charset=utf-8', calendar, true);
}
