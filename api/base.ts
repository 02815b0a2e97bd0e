/** The address below which everything of the API is. A change that breaks a script gets a new one. */
export const API_BASE = '/api/v1';
