/** As the server has it. */
export const SHORTEST_PASSWORD = 15
