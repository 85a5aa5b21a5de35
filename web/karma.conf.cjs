// Chromium from Debian, headless; --no-sandbox because tests may run as root.
process.env.CHROME_BIN ??= '/usr/bin/chromium';
module.exports = (config) =>
  config.set({
    frameworks: ['jasmine'],
    plugins: [require('karma-jasmine'), require('karma-chrome-launcher')],
    reporters: ['dots'],
    browsers: ['ChromiumHeadlessRoot'],
    customLaunchers: {
      ChromiumHeadlessRoot: {
        base: 'ChromeHeadless',
        flags: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking'],
      },
    },
    // Specs do the real computation on the page: a busy machine is no reason to let go of it.
    browserDisconnectTimeout: 30_000,
    browserNoActivityTimeout: 120_000,
    pingTimeout: 60_000,
    client: { jasmine: { random: true, failSpecWithNoExpectations: true, timeoutInterval: 30_000 } },
  });
