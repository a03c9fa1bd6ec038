import { chakra } from '@chakra-ui/react';
import { Suspense, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';

/** The place of a chart, which comes in a file of its own that a server that is away cannot give. */
export function ChartPlace(props: {
  /** What can be done without it. */
  without?: string;
  children: ReactNode;
}) {
  const { without = '' } = props;
  return (
    <ErrorBoundary
      fallback={
        <chakra.p fontSize="12px" color="slate">
          The chart could not be loaded from the server. {without}Load the page again for the
          drawing.
        </chakra.p>
      }
    >
      <Suspense fallback={null}>{props.children}</Suspense>
    </ErrorBoundary>
  );
}
