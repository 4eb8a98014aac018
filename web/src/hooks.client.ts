import type { HandleClientError } from '@sveltejs/kit';

/** What the browser says where a fetch finds no server. */
const UNREACHED = /fetch|network|load failed|imported module/i;

export const handleError: HandleClientError = ({ error, status, message }) =>
  status === 500 && error instanceof TypeError && UNREACHED.test(error.message)
    ? { message: 'The server does not answer. What was typed in this browser is kept.', away: true }
    : { message };
