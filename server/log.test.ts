import { expect, test } from '@jest/globals';
import { DatabaseError } from 'sequelize';
import { loggedError } from './log';

test('of a fault of the database nothing is logged but what it is called: no statement, no values', () => {
  const parent = Object.assign(new Error('SQLITE_IOERR: disk I/O error'), {
    sql: 'UPDATE people SET document = \'{"conditions":["glaucoma"]}\'',
    parameters: { document: 'Mara Quill' },
  });
  const logged = JSON.stringify(loggedError(new DatabaseError(parent)));
  expect(logged).toContain('disk I/O error');
  for (const word of ['glaucoma', 'Mara', 'UPDATE']) expect(logged).not.toContain(word);
});

test('what is no error says nothing of what it is', () => {
  expect(loggedError({ document: 'Mara Quill' })).toEqual({
    type: 'object',
    message: 'Something was thrown that is no error.',
    stack: '',
  });
});
