// Mocha would rather require test files than import them, and what is required becomes CommonJS: not what runs in use, and slower,
// for whatever is imported is then asked of a getter each time. Told that it cannot, it imports them.
Object.defineProperty(process.features, 'require_module', { value: false });
