/** s for which a wire keeps all its heat (IEC 60364-4-43 434.5.2); what lasts longer is the overload’s. */
export const ADIABATIC = 5;
