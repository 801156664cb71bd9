# frozen_string_literal: true

# For specs in a real browser, on the built front end and a real server with its own database.
require "database_helper"
require "capybara/dsl"
require "capybara/rspec/matchers" # not all of capybara/rspec: it would end the browser's session after each example
require "capybara/rspec/matcher_proxies"
require "tmpdir"
require_relative "../ops/browser"

# Chromium leaves a folder behind at each start: give it one that goes.
scratch = Dir.mktmpdir("verglas-browser")
ENV["TMPDIR"] = scratch

Verglas::Ops::Browser.prepare(Verglas::Web::Stack.build(Verglas::DB, limits: false))
Capybara.default_driver = :verglas
Capybara.javascript_driver = :verglas
# Three browsers and their servers share two cores: what is right at once passes at once, only a failure waits so long.
Capybara.default_max_wait_time = 10

module Browsing
  AXE = File.join(Verglas::ROOT, "frontend", "node_modules", "axe-core", "axe.min.js")

  # By the form's own request: the form itself is in the specs of signing in. at: where to go then; nil for nowhere yet.
  def sign_in(email: "maren@netloft.example", password: Given::PASSWORD, at: nil)
    visit "/robots.txt" unless page.current_path == "/robots.txt"
    asked "/auth/login", email: email, password: password
    visit at if at
  end

  # To another place of the application without loading it anew, as its own links do; the first time it is loaded.
  def go(path)
    return visit path unless page.has_css?("nav", wait: 0)

    page.execute_script(
      "history.pushState(null, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate', { state: null }))",
      path
    )
  end

  # What the page itself sends, without the page: as whoever is signed in in the browser. Answers the parsed body.
  def asked(path, **body)
    status, answer = page.evaluate_async_script(<<~JS, path, JSON.generate(body), SecureRandom.uuid)
      const headers = { "content-type": "application/json", "idempotency-key": arguments[2] };
      fetch(arguments[0], { method: "POST", headers, body: arguments[1] }).then(async (answer) => arguments[3]([answer.status, await answer.text()]));
    JS
    expect(status).to be_between(200, 201), "#{path}: #{status} #{answer}"
    answer.start_with?("{") ? JSON.parse(answer) : {}
  end

  # The bench of a client on a machine, straight away: the way by the client's card is in the specs of the main job.
  # line: as the card names it, "Leg curl 1" or "Leg station 1: curl".
  def bench_of(client, line)
    name, exercise = line.split(": ")
    machine = db[:machines].where(name: name).get(:id)
    go "/fittings/#{asked("/api/fittings", client_id: client[:id], machine_id: machine, exercise: exercise.to_s)["id"]}"
    expect(page).to have_css("[data-step]", minimum: 2)
  end

  # Nothing that the axe engine finds fault with.
  def expect_accessible(what)
    page.execute_script(File.read(AXE)) unless page.evaluate_script("Boolean(window.axe)")
    page.execute_script(
      "window.axeFound = null; axe.run(document, { resultTypes: ['violations'] }).then((result) => { " \
        "window.axeFound = result.violations; })"
    )
    found = nil
    Capybara.using_wait_time(15) { expect { found = page.evaluate_script("window.axeFound") }.not_to raise_error }
    30.times do
      break if (found = page.evaluate_script("window.axeFound"))

      sleep 0.1
    end
    expect(found).not_to be_nil, "axe did not finish on #{what}"
    told =
      found.map do |fault|
        "#{fault["id"]}: #{fault["nodes"].map { |node| node["target"] }.flatten.first(3).join(", ")} " \
          "#{fault["nodes"].first["failureSummary"]}"
      end
    expect(told).to be_empty, "#{what}: #{told.join("; ")}"
  end

  # No text is cut off: nothing wider than the window, no box that holds more than it shows, nothing past the edge of
  # what hides its overflow.
  def expect_nothing_cut(what)
    cut = page.evaluate_script(<<~JS)
      (() => {
        const told = (element) => `${element.tagName} ${element.textContent.trim().slice(0, 40)}`;
        const wide = document.documentElement.scrollWidth > window.innerWidth + 1 ? [`the page is ${document.documentElement.scrollWidth} wide`] : [];
        const cut = [...document.querySelectorAll("h1,h2,h3,p,dt,dd,button,a,label,li,span,output,input")].filter((element) => {
          const style = getComputedStyle(element);
          const hidden = style.clipPath !== "none" || style.position === "absolute" || element.closest("[data-react-aria-hidden], svg");
          return !hidden && style.display !== "inline" && element.clientWidth > 0 && element.scrollWidth > element.clientWidth + 2;
        }).map(told);
        const hides = (element) => element && getComputedStyle(element).overflowY === "hidden" ? element : element && hides(element.parentElement);
        const past = [...document.querySelectorAll("main :is(h1,h2,h3,p,dt,dd,button,a,label,output,span:not(:has(*)))")].filter((element) => {
          const [edge, box] = [hides(element.parentElement)?.getBoundingClientRect(), element.getBoundingClientRect()];
          return edge && edge.width > 2 && !element.closest("[data-react-aria-hidden], svg") && box.width > 2 && (box.bottom > edge.bottom + 2 || box.top < edge.top - 2);
        }).map((element) => `past an edge: ${told(element)}`);
        return wide.concat(cut, past);
      })()
    JS
    expect(cut).to be_empty, "#{what}: #{cut.join("; ")}"
  end

  def resize(width, height)
    page.driver.browser.page.command(
      "Emulation.setDeviceMetricsOverride",
      width: width,
      height: height,
      deviceScaleFactor: 1,
      mobile: false
    )
  end

  # As without a network, while the block goes on.
  def offline
    hear_requests
    network = page.driver.browser.network
    network.emulate_network_conditions(offline: true)
    yield
  ensure
    network.emulate_network_conditions(offline: false)
  end

  # From here on the browser tells of each request (Quiet).
  def hear_requests = page.driver.browser.page.command("Network.enable")

  def keys(*presses) = page.driver.browser.keyboard.type(*presses)
  def finding(code) = find("[data-finding='#{code}'] [data-value]").text
  def mark(adjuster) = find("[data-adjuster='#{adjuster}'] output").text

  # A colleague's browser beside this one. Left open, it would be reset with the first after every example, and what
  # that has fetched would go.
  def at_another_tablet
    Capybara.using_session(:colleague) do
      yield
    ensure
      page.quit
    end
  end

  def kept = expect(page).to(have_css("[data-saving=kept]"))
end

# Between two examples: as a browser that was never here, but for what it has fetched of the front end, which does not
# change.
module CleanBrowser
  STORED = "localStorage.clear(); sessionStorage.clear();"

  def self.clean
    browser = Capybara.current_session.driver.browser
    return Capybara.reset_sessions! if browser.window_handles.size > 1

    browser.page.command("Emulation.clearDeviceMetricsOverride")
    browser.page.command("Emulation.setEmulatedMedia", features: [])
    Capybara.current_session.visit("/robots.txt")
    browser.execute(STORED)
    browser.cookies.clear
    browser.network.clear(:traffic)
  rescue Ferrum::Error
    Capybara.reset_sessions!
  end
end

# Unasked, the browser tells of each request and of each rule of a style sheet, a quarter of its messages: few examples
# listen.
module Quiet
  def self.please
    %w[Network.disable CSS.disable].each { |command| Capybara.current_session.driver.browser.page.command(command) }
  end
end

RSpec.configure do |config|
  [Browsing, Capybara::DSL, Capybara::RSpecMatchers].each do |methods|
    Groups.given(config, methods, file_path: %r{/spec/system/})
  end
  config.before(:each, file_path: %r{/spec/system/}) { Quiet.please }
  config.after(:each, file_path: %r{/spec/system/}) { CleanBrowser.clean }
  config.after(:suite) do
    Capybara.current_session.driver.quit
    FileUtils.rm_rf(scratch)
  end
end
