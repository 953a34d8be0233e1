/** How methods say that the oven is to be heated: "preheat", "heat oven to 180C", "set the oven", "oven to gas 4". */
export const HEATS_OVEN = /\bpre-?heat|\b(?:heat|set|turn on|put on|warm)\b(?: the| your| an?)? oven\b|^\s*oven (?:to|at)\b/i
