/** Specs come in any order: what one kept in the browser must not be found by the next. */
beforeEach(() => localStorage.clear());
