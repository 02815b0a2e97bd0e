import { defineStore } from 'pinia';
import { DEFAULT_HOUSE, House, readHouse } from '#core/settings';
import { houseConflictOf, readHouseRules, saveHouseRules } from '../client/house';
import { keptDocument } from '../sync/kept-document';

/** The house rules. Until they are here, the usual ones count. */
export const useHouse = defineStore('house', () => {
  const { document: rules, ...house } = keptDocument<House>({
    unsentKey: 'zovrin.house.unsent',
    start: DEFAULT_HOUSE,
    schema: House,
    read: readHouse,
    fetch: readHouseRules,
    send: saveHouseRules,
    conflictOf: houseConflictOf,
  });
  return { rules, ...house };
});
