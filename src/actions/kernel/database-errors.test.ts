import { describe, expect, it } from 'vitest';
import { refusedByDatabase, withoutFigures } from './database-errors';

const database = (code: string): Error =>
  Object.assign(new Error('value "123456.78" is out of range for Nuala Roche'), {
    code,
    detail: 'Key (name)=(Nuala Roche) already exists.',
    parameters: ['123456.78'],
    constraint: 'some_rule',
    table: 'opening_line',
  });

describe('an error on its way to the log', () => {
  it('leaves figures and names behind, and says where it was thrown', () => {
    const told = withoutFigures(database('22003'));
    expect(JSON.stringify(told)).not.toMatch(/123456|Nuala|Key/);
    expect(told).toMatchObject({ type: 'Error', code: '22003', constraint: 'some_rule', table: 'opening_line' });
    expect(told.at).toContain('database-errors.test');
    expect(withoutFigures('123456.78')).toMatchObject({ type: 'string' });
  });
});

describe('what the database refuses', () => {
  it.each(['22003', '22021', '22P05', '22001', '21000', '23505', '23503', '23514', '23502', '23P01'])(
    'becomes a sentence that says what to do, without figures: %s',
    (code) => {
      const told = refusedByDatabase(database(code));
      expect(told?.message).toMatch(/^[A-Z].{40,}\.$/);
      expect(told?.message).toContain('nothing was stored');
      expect(told?.message).not.toMatch(/123456|Nuala/);
    },
  );
  it('is nobody’s fault otherwise', () => {
    expect(refusedByDatabase(database('XX000'))).toBeUndefined();
    expect(refusedByDatabase(new Error('x'))).toBeUndefined();
  });
});
