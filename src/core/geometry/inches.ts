/** The international inch, mm (1959 yard and pound agreement). */
export const MM_PER_INCH = 25.4;
