/** Why a form was not taken; the shape use cases answer with. */
export interface FormProblem {
  readonly kind: string;
  readonly message: string;
  readonly fields?: Readonly<Record<string, string>>;
}

/** What is said when the studio does not answer. */
export const OFFLINE: FormProblem = {
  kind: 'fault',
  message:
    'The studio cannot be reached. What you typed is still here; send it again when the connection is back. It will be posted once.',
};
