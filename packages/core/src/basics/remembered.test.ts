import { remembered } from './remembered';

describe('remembered', () => {
  it('works each input out once while it is kept, and forgets the one asked longest ago', () => {
    const asked: number[] = [];
    const square = remembered(({ of }: { readonly of: number }) => {
      asked.push(of);
      return of * of;
    }, 2);
    expect([3, 4, 3, 5, 3, 4].map((of) => square({ of }))).toEqual([9, 16, 9, 25, 9, 16]);
    // 4 was forgotten when 5 came, because 3 had been asked for since.
    expect(asked).toEqual([3, 4, 5, 4]);
  });
});
