// What a stylesheet is to a test: nothing.
module.exports = {};
