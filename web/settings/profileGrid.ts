/** Fields of the profile side by side, as many as there is room for. */
export const profileGrid = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', md: '1fr 1fr 1fr' },
  gap: 2,
  maxWidth: 900,
};
