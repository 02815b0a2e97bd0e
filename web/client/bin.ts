import { BinResponse, type BinnedItem } from '#api';
import { ask, tell } from './http';

/** What was deleted in the last 30 days. */
export const listBin = async (): Promise<BinnedItem[]> => (await ask(BinResponse, 'GET', '/bin')).items;

export const restore = ({ kind, id }: Pick<BinnedItem, 'kind' | 'id'>) =>
  tell('POST', `/bin/${kind}/${encodeURIComponent(id)}/restore`);
