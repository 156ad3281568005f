import '@angular/compiler';
import { getTestBed } from '@angular/core/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';

getTestBed().initTestEnvironment(BrowserTestingModule, platformBrowserTesting());

// There is no canvas here; tests that look at one bring their own.
HTMLCanvasElement.prototype.getContext = () => null;

// Nor is there ever an idle moment, which is when curves are drawn.
window.requestIdleCallback = () => 0;
window.cancelIdleCallback = () => undefined;
