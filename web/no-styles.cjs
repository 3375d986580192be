// What a stylesheet is to a test: each class is called what it is called in its file.
module.exports = new Proxy({}, { get: (_, name) => (name === '__esModule' ? false : name) });
