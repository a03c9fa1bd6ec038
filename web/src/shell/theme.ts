import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import {
  animationStyles,
  breakpoints,
  buttonRecipe,
  cssVarsRoot,
  dialogSlotRecipe,
  globalCss,
  keyframes,
  layerStyles,
  semanticTokens,
  sliderSlotRecipe,
  textStyles,
  tokens,
} from '@chakra-ui/react/theme';
import { forcedColours } from './forced-colours.ts';
import { sheetStyle } from '../sheet/style.ts';
import { FILLS, type DayNight } from '../ui/fills.ts';

const dual = (day: string, night: string) => ({ value: { _light: day, _dark: night } });

const token = ({ day, night }: DayNight) => dual(day, night);

/** The parts of the component library's theme that are used: all of it would be a third of the page. */
const base = defineConfig({
  preflight: true,
  cssVarsRoot,
  globalCss,
  theme: {
    breakpoints,
    keyframes,
    tokens,
    semanticTokens,
    textStyles,
    layerStyles,
    animationStyles,
    recipes: { button: buttonRecipe },
    slotRecipes: { dialog: dialogSlotRecipe, slider: sliderSlotRecipe },
  },
});

/** Every colour, face and corner of the page. Components name these tokens and no colour of their own. */
const config = defineConfig({
  cssVarsPrefix: 'sorn',
  globalCss: {
    'html, body, #root': { height: '100%' },
    html: { colorPalette: 'petrol' },
    body: {
      bg: 'paper',
      color: 'ink',
      fontFamily: 'body',
      fontSize: '14px',
      lineHeight: '1.4',
      overflow: 'hidden',
    },
    '*:focus-visible': {
      outline: '2px solid',
      outlineColor: 'vermilion',
      outlineOffset: '1px',
    },
    '::selection': { bg: 'petrol.wash' },
    progress: { accentColor: 'petrol' },
    // Once for the page: worked out at every drawing it would cost more than the drawing.
    '.sheet': sheetStyle,
    '@media (forced-colors: active)': forcedColours,
  },
  theme: {
    tokens: {
      fonts: {
        body: { value: "'Archivo Variable', system-ui, sans-serif" },
        heading: { value: "'Archivo Variable', system-ui, sans-serif" },
        mono: { value: "'Martian Mono Variable', ui-monospace, monospace" },
      },
      radii: { edge: { value: '2px' } },
    },
    semanticTokens: {
      colors: {
        paper: dual('#F5F3EB', '#0F1A1A'),
        rail: dual('#EDE9DC', '#0B1414'),
        sheet: token(FILLS.sheet),
        ink: dual('#1A2525', '#E9EAE3'),
        hairline: dual('#D9D4C6', '#2B3D3D'),
        grid: dual('#EFECE2', '#1A2A2A'),
        slate: dual('#5A6664', '#98A6A3'),
        vermilion: dual('#C93A17', '#FF7A50'),
        ochre: dual('#8F5D12', '#E0B04B'),
        petrol: {
          DEFAULT: dual('#0B6E6E', '#4FC1B5'),
          wash: dual('#EDF3F0', '#1C2F2F'),
          deep: token(FILLS.focused),
          solid: dual('#0B6E6E', '#4FC1B5'),
          contrast: dual('#FBFAF6', '#0F1A1A'),
          fg: dual('#0B6E6E', '#4FC1B5'),
          focusRing: dual('#C93A17', '#FF7A50'),
        },
        shade: dual('rgba(26, 37, 37, 0.28)', 'rgba(0, 0, 0, 0.6)'),
        bg: { DEFAULT: dual('#FBFAF6', '#152323'), panel: dual('#FBFAF6', '#152323') },
        fg: { DEFAULT: dual('#1A2525', '#E9EAE3') },
        border: { DEFAULT: dual('#D9D4C6', '#2B3D3D') },
      },
    },
  },
});

export const system = createSystem(defaultBaseConfig, base, config);
