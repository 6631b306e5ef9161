import theme from 'ant-design-vue/es/theme';

/** The component kit's tokens, set to the program's own colours, type and corners; light and dark, for a mouse and for fingers. */
export function antTheme(dark: boolean, byFinger: boolean) {
  return {
    algorithm: dark ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      colorPrimary: dark ? '#2a7560' : '#1d5a4b',
      colorInfo: dark ? '#8fb6d0' : '#3c6480',
      colorWarning: '#b94e25',
      colorError: dark ? '#ec8f63' : '#9c3d17',
      colorLink: dark ? '#74c6aa' : '#1d5a4b',
      colorTextBase: dark ? '#f0eadc' : '#1e2a26',
      colorBgBase: dark ? '#1a2621' : '#fffcf6',
      colorBorder: dark ? '#53675e' : '#a99d86',
      controlItemBgActive: dark ? '#24493d' : '#d9e6dd',
      controlItemBgActiveHover: dark ? '#2b5446' : '#cddfd3',
      colorTextPlaceholder: dark ? '#a9b7af' : '#6a7069',
      fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif",
      fontSize: 14,
      borderRadius: 4,
      borderRadiusLG: 4,
      borderRadiusSM: 3,
      controlHeight: byFinger ? 44 : 36,
      controlHeightSM: byFinger ? 44 : 24,
      controlHeightLG: 46,
      boxShadow: 'none',
      boxShadowSecondary: `0 0 0 1px ${dark ? '#35473f' : '#ddd3c0'}`,
      wireframe: false,
    },
  };
}
