import { chakra } from '@chakra-ui/react';
import type { App } from '@sorn/core/model';
import { balloonStyle } from '../ui/balloon-style.ts';
import { Balloon } from './Balloon.tsx';

/** An app's balloon outside the sheet; of an app that is not known, the first letters of its name. */
export function AppBalloon({ app, name }: { app: App | undefined; name: string }) {
  const text = app?.balloon ?? name.slice(0, 2).toUpperCase();
  return (
    <chakra.svg
      width="27px"
      height="27px"
      flexShrink="0"
      overflow="visible"
      css={balloonStyle}
      aria-hidden
    >
      <Balloon x={13.5} y={13.5} text={text} hue={app?.hue ?? 0} />
    </chakra.svg>
  );
}
