// Chromium from Debian, headless; --no-sandbox because tests may run as root.
process.env.CHROME_BIN ??= '/usr/bin/chromium';
module.exports = (config) =>
  config.set({
    frameworks: ['jasmine'],
    plugins: [require('karma-jasmine'), require('karma-chrome-launcher')],
    reporters: ['dots'],
    browsers: ['ChromiumHeadlessRoot'],
    customLaunchers: { ChromiumHeadlessRoot: { base: 'ChromeHeadless', flags: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking'] } },
    client: { jasmine: { random: true, failSpecWithNoExpectations: true } },
  });
