/** How work grows is not looked at here: a machine that is busy otherwise would pass for a change that was noticed. */
export const growthOf = () => 1;
