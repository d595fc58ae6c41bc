/** What the server answers, as contract/replies.json has it. */
export type * from './generated/replies'
