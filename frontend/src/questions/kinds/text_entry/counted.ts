/** As many different answers as fit on a big screen beside a question. */
export const MOST_SHOWN = 8
