/**
 * The same function with its latest answers kept, by input; what was asked longest ago is forgotten first. Only for pure
 * functions of plain data: the key is the input as JSON.
 */
export function remembered<Input, Answer>(
  compute: (input: Input) => Answer,
  most: number,
): (input: Input) => Answer {
  const known = new Map<string, Answer>();
  return (input) => {
    const key = JSON.stringify(input);
    const answer = known.get(key) ?? compute(input);
    known.delete(key);
    known.set(key, answer);
    for (const oldest of known.keys()) {
      if (known.size <= most) break;
      known.delete(oldest);
    }
    return answer;
  };
}
