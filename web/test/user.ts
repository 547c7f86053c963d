import userEvent from '@testing-library/user-event';

/**
 * Somebody at the page. Whether something lies over what is pressed is asked in the browser: here nothing has a size,
 * and asking takes longer than all the rest.
 */
export const user = userEvent.setup({ pointerEventsCheck: 0 });
