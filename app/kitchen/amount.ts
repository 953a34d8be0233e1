/** Grams as a kitchen scale shows them: whole, or to a tenth where they are few. */
export const inKitchenGrams = (grams: number): string => `${grams < 10 ? Math.round(grams * 10) / 10 : Math.round(grams)} g`
