/** Fewer strikes than this say nothing about a rate. Apart from the rate: whoever only asks for this need not load how one is reckoned. */
export const fewestSeen = 8;
