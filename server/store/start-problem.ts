/** Why the server cannot start, in sentences for whoever started it: what is wrong, what it means, what to do. */
export class StartProblem extends Error {}
