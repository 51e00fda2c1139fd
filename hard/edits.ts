/** A record of the shed as a stream of edits leaves it: its version counts them. */
export interface Counted {
  readonly version: number;
  readonly height: number;
}

const PERSON = '/api/projects/print-shed/people/wren';

interface Answer {
  readonly version: number;
  readonly data: { readonly height: number };
}

/** The person whose height is edited, as the server has it. */
export async function counted(url: string): Promise<Counted> {
  const { version, data } = (await (await fetch(url + PERSON)).json()) as Answer;
  return { version, height: data.height };
}

/** One edit of that height. @returns the version that was acknowledged; null where there was no answer */
export async function edit(url: string, version: number, height: number, label = `Edit ${version}`): Promise<number | null> {
  try {
    const now = (await (await fetch(url + PERSON)).json()) as Answer;
    const response = await fetch(url + PERSON, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version, data: { ...now.data, height }, label }),
    });
    return response.ok ? ((await response.json()) as Answer).version : null;
  } catch {
    return null;
  }
}
