import { About, SampleState } from '#api';
import { ask, tell } from './http';

/** Whether the sample house is here. */
export const readSample = () => ask(SampleState, 'GET', '/sample');
/** Loads the sample house beside what is there. */
export const loadSample = () => tell('POST', '/sample');
/** Moves the sample house to the bin, and nothing else. */
export const removeSample = () => tell('DELETE', '/sample');
/** Which version this is, and where its data lies. */
export const readAbout = () => ask(About, 'GET', '/about');
