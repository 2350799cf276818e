// Unit tests leave nothing behind for the next one; what jsdom lacks of pointers is there.
import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';

// What is waited for comes when it comes: a busy machine is no fault of the page.
configure({ asyncUtilTimeout: 20_000 });

afterEach(cleanup);

Element.prototype.setPointerCapture = () => {};
Element.prototype.releasePointerCapture = () => {};
Element.prototype.hasPointerCapture = () => false;
