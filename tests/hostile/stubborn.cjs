// A thread that does not do what it is asked: it stands for any reader that meets what nobody thought of.
module.exports = (given) => {
  if (given === null) return true;
  const { task } = given;
  if (task === 'check') for (;;);
  if (task === 'table') {
    const held = [];
    for (;;) held.push(new Array(100_000).fill(held.length));
  }
  if (task === 'logo') throw new Error('an amount of 123.45 that nobody foresaw');
  return { ok: true, value: [] };
};
