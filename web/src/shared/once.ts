import { useState } from 'react';

export interface Once {
  /** The ID of what this request makes: the same for the same request, another once anything in it was changed. */
  idOf(request: unknown): string;
  /** What was asked for is there: the same request again makes another. */
  done(): void;
}

/** Makes a request that can be sent again, after an answer that did not arrive, without making anything twice. */
export function createOnce(made: () => string = () => crypto.randomUUID()): Once {
  let asked: string | undefined;
  let id = '';
  return {
    idOf(request) {
      const now = JSON.stringify(request);
      if (now !== asked) id = made();
      asked = now;
      return id;
    },
    done() {
      asked = undefined;
    },
  };
}

export const useOnce = () => useState(createOnce)[0];
