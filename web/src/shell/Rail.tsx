import { chakra, Flex } from '@chakra-ui/react';
import { NavLink } from 'react-router';
import { useInspector } from '../ui/inspector.ts';
import { useScreen } from '../ui/screen.ts';
import { VIEWS } from './views.ts';

const RailLink = chakra(NavLink, {
  base: {
    position: 'relative',
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '6px',
    height: '62px',
    fontSize: '12px',
    fontStretch: '94%',
    color: 'slate',
    borderLeft: '3px solid transparent',
    '&[aria-current=page]': {
      bg: 'sheet',
      color: 'ink',
      fontWeight: 600,
      borderLeftColor: 'petrol',
    },
    _hover: { color: 'ink' },
  },
});

export function Rail() {
  const { isSmall, isNarrow } = useScreen();
  const giveWay = useInspector((inspector) => inspector.giveWay);
  const edge = isNarrow ? 'borderTop' : 'borderRight';
  return (
    <Flex
      as="nav"
      aria-label="Views"
      direction={isNarrow ? 'row' : 'column'}
      height="100%"
      overflow="hidden"
      bg="rail"
      {...{ [edge]: '1px solid' }}
      borderColor="hairline"
    >
      {!isNarrow && (
        <Flex
          height="44px"
          flexShrink="0"
          align="center"
          justify="center"
          borderBottom="1px solid"
          borderColor="hairline"
        >
          <Mark />
        </Flex>
      )}
      {VIEWS.map(({ path, word, digit, Icon }) => (
        <RailLink
          key={path}
          to={path}
          aria-keyshortcuts={digit}
          onClick={giveWay}
          {...(isSmall && { height: '46px', flex: '1 1 0', maxHeight: '46px', title: word })}
        >
          <Icon size={20} strokeWidth={1.5} aria-hidden />
          <chakra.span {...(isSmall && { srOnly: true })}>{word}</chakra.span>
          <chakra.span
            position="absolute"
            top={isSmall ? '2px' : '4px'}
            right="5px"
            fontFamily="mono"
            fontSize="11px"
            fontStretch="88%"
            color="slate"
            aria-hidden
          >
            {digit}
          </chakra.span>
        </RailLink>
      ))}
    </Flex>
  );
}

/** Sorn's mark: a dimension line over an open frame. */
function Mark() {
  return (
    <chakra.svg
      width="28px"
      height="26px"
      viewBox="0 0 28 26"
      fill="none"
      role="img"
      aria-label="Sorn"
    >
      <chakra.path d="M3 5H25M1 8L6 2M22 8L27 2" stroke="vermilion" strokeWidth="2" />
      <chakra.path d="M3 11V24H25V11" stroke="ink" strokeWidth="2" />
    </chakra.svg>
  );
}
