import type { RequestEvent } from '@sveltejs/kit';
import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';
import { said } from './request-guard';

/**
 * Points an address may spend a minute: some forty people at one address who type without a pause and print a sheet each
 * minute. PILGRIM_RATE sets another number, 0 none.
 */
const GENEROUS = 6000;
const MINUTE = 60;
/** What takes a good part of a second of a processor. */
const COSTLY = /\/sheet\.pdf$|^\/motors\/export\.|^\/api\/solve$|^\/api\/motors\/(?:spares|batch)$|\/photos$/;
const POINTS = { costly: 20, change: 1 } as const;

let limiter: RateLimiterMemory | undefined;

function allowed(): number {
  const typed = Number(process.env['PILGRIM_RATE'] ?? GENEROUS);
  return Number.isFinite(typed) && typed >= 0 ? typed : GENEROUS;
}

/** What a request counts; pages that are only read count nothing. */
export function pointsOf(method: string, path: string): number {
  if (COSTLY.test(path)) return POINTS.costly;
  return method === 'GET' || method === 'HEAD' ? 0 : POINTS.change;
}

/** Counts a request to the address it comes from. A refusal, with when to come again, where that is over its points. */
export async function rateLimit({ request, url, getClientAddress }: RequestEvent): Promise<Response | undefined> {
  const points = pointsOf(request.method, url.pathname);
  const most = allowed();
  if (points === 0 || most === 0) return undefined;
  limiter ??= new RateLimiterMemory({ points: most, duration: MINUTE });
  try {
    await limiter.consume(getClientAddress(), points);
    return undefined;
  } catch (over) {
    if (over instanceof Error) throw over;
    const seconds = Math.ceil((over as RateLimiterRes).msBeforeNext / 1000);
    const answer = said(request, 429, `Too much was asked from this address within a minute. Wait ${seconds} s.`);
    answer.headers.set('retry-after', String(seconds));
    return answer;
  }
}
