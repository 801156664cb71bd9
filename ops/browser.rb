# frozen_string_literal: true

require "capybara"
require "capybara/cuprite"

module Verglas
  module Ops
    # Debian's headless Chromium for system specs and pictures: no network but this machine, no sandbox as root. Scripts
    # are not optimized twice over: no page stays long enough to gain by it.
    module Browser
      OPTIONS = {
        "no-sandbox" => nil,
        "disable-gpu" => nil,
        "disable-quic" => nil,
        "no-first-run" => nil,
        "no-proxy-server" => nil,
        "host-resolver-rules" => "MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost",
        "force-color-profile" => "srgb",
        "force-prefers-reduced-motion" => nil,
        "js-flags" => "--no-maglev --no-turbofan"
      }.freeze

      TIMEOUT_S = 20

      def self.prepare(app, window: [1280, 800])
        Capybara.app = app
        Capybara.server = :puma, { Silent: true, Threads: "0:5" }
        Capybara.server_host = "127.0.0.1"
        Capybara.default_max_wait_time = TIMEOUT_S
        Capybara.enable_aria_label = true
        Capybara.register_driver(:verglas) do |current|
          driver =
            Capybara::Cuprite::Driver.new(
              current,
              browser_path: path,
              headless: "new",
              window_size: window,
              process_timeout: 60,
              timeout: TIMEOUT_S,
              protocol_timeout: nil,
              js_errors: true,
              browser_options: OPTIONS.dup
            )
          # Given after the start: before it, each message to the browser would have a clock of its own, a third of what
          # sending it takes.
          driver.tap { driver.browser.protocol_timeout = TIMEOUT_S }
        end
      end

      def self.path
        %w[/usr/bin/chromium-headless-shell /usr/bin/chromium /usr/bin/chromium-browser].find do |file|
          File.executable?(file)
        end ||
          abort("verglas: Chromium is not installed: apt-get install --no-install-recommends chromium-headless-shell")
      end
    end
  end
end
