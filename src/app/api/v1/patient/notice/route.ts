import { patientFormHandler } from '@/server/handler';
import { noticeWasRead } from '@/server/patient/notice';

export const POST = patientFormHandler({ run: noticeWasRead, then: '/today' });
