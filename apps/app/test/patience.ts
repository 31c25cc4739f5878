/** How long a test waits for what is drawn later: no test is about time, and a busy machine is slow. */
import { configure } from '@testing-library/react-native';

configure({ asyncUtilTimeout: 45_000 });
