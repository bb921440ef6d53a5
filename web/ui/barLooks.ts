export const axisName = { fontWeight: 700, fontSize: '1.05rem', lineHeight: 1.15 } as const;
export const grid = {
  display: 'grid',
  gridTemplateColumns: { xs: '64px 1fr 76px', sm: '76px 1fr 84px' },
  columnGap: 1.5,
  alignItems: 'center',
} as const;
export const figures = { textAlign: 'right', whiteSpace: 'nowrap', lineHeight: 1.15 } as const;
export const small = { fontSize: '0.8rem', color: 'text.secondary' } as const;
export const strip = { position: 'absolute', top: '20%', bottom: '20%' } as const;
