# frozen_string_literal: true

require "system_helper"

RSpec.describe "A shared tablet in the browser" do
  let!(:loft) { gym }
  let!(:maren) { staff(loft) }
  let!(:tobias) { staff(loft, email: "tobias@netloft.example", name: "Tobias Wick") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { matteus(loft, maren) }

  # Both sign in here in full; Maren stays.
  before do
    { "tobias@netloft.example" => "1357", "maren@netloft.example" => "2468" }.each do |email, pin|
      sign_in(email: email)
      asked "/auth/pin", password: Given::PASSWORD, pin: pin
      asked "/auth/logout" if email.start_with?("tobias")
    end
  end

  it "keeps a new PIN, and signs out" do
    visit "/you"
    fill_in "Your password", with: Given::PASSWORD
    fill_in "New PIN", with: "8642"
    click_button "Keep the PIN"
    expect(page).to have_text("Kept.")
    click_button "Lock"
    take_over("Maren Oldcastle", "8642")
    click_button "Sign out"
    expect(page).to have_text("Sign in to Verglas")
  end

  it "changes a password, says what is wrong with a new one, and shows and ends where one is signed in" do
    db[:account_active_session_keys].insert(account_id: maren, session_id: "elsewhere", device: "Safari, iPad")
    visit "/you"
    expect(page).to have_text("Safari, iPad")
    fill_in "Password today", with: Given::PASSWORD
    fill_in "New password", with: "short"
    click_button "Change the password"
    expect(page).to have_text("A password needs at least 12 characters")
    expect(page).to have_field("New password", with: "short")
    click_button "Sign out on Safari, iPad"
    expect(page).to have_no_text("Safari, iPad")
    fill_in "New password", with: "heron on the slipway"
    click_button "Change the password"
    expect(page).to have_text("Changed. You are signed out everywhere else.")
    expect_accessible("one's own account")
    click_button "Sign out", exact: true
    fill_in "Email", with: "maren@netloft.example"
    fill_in "Password", with: "heron on the slipway"
    click_button "Sign in"
    expect(page).to have_css("nav[aria-label]")
  end

  def take_over(name, pin)
    find("label", text: name).click
    fill_in "PIN", with: pin
    click_button "Open"
  end

  it "locks, refuses a wrong PIN, and opens again where it was, with what was typed" do
    bench_of(person, "Leg extension 1")
    find("[aria-label^='Roller one mark down']").click
    find("[data-step='@watch'] button").click
    fill_in "Cue that helped", with: "Toes up."
    click_button "Lock"
    expect(page).to have_css("h1", text: "Locked")
    expect(page).to have_no_text("Matteus Orr")
    expect_accessible("a locked tablet")
    before = db[:fittings].first[:marks].to_h
    find("h1").click
    ["/", "?", "]", "u", :Right].each { |key| keys(key) }
    expect(page).to have_no_css("[role=dialog]")
    expect(db[:fittings].first[:marks].to_h).to eq(before)
    take_over("Maren Oldcastle", "9999")
    expect(page).to have_css("[role=alert]", text: "This PIN is not right")
    take_over("Maren Oldcastle", "2468")
    expect(page).to have_field("Cue that helped", with: "Toes up.")
    expect(page).to have_css("[data-saving=kept]")
    expect(db[:fittings].first[:marks].to_h["roller"]).to eq("C")
  end

  # Five minutes of the page's clock, told as two and a half seconds.
  def with_a_fast_clock
    script =
      "const later = setTimeout; window.setTimeout = (act, ms, ...rest) => later(act, ms === 300000 ? 2500 : ms, " \
        "...rest);"
    added = page.driver.browser.page.command("Page.addScriptToEvaluateOnNewDocument", source: script)
    yield
  ensure
    page.driver.browser.page.command("Page.removeScriptToEvaluateOnNewDocument", identifier: added["identifier"])
  end

  it "locks itself when nobody touches it" do
    with_a_fast_clock do
      visit "/clients"
      expect(page).to have_css("h1", text: "Clients")
      expect(page).to have_css("h1", text: "Locked")
    end
    # The page is locked at once, and then says so to the server.
    page
      .document
      .synchronize(8, errors: [RSpec::Expectations::ExpectationNotMetError]) do
        expect(db[:account_active_session_keys].where(account_id: maren).select_map(:locked)).to include(true)
      end
  end

  it "stays locked across a reload, and goes to a colleague with the draft as it stands" do
    bench_of(person, "Leg extension 1")
    find("[aria-label^='Roller one mark down']").click
    kept
    click_button "Lock"
    expect(page).to have_css("h1", text: "Locked")
    visit current_path
    expect(page).to have_css("h1", text: "Locked")
    take_over("Tobias Wick", "1357")
    expect(page).to have_css("[data-adjuster=roller] output", text: "C")
    expect(page).to have_css("nav", text: "Tobias Wick")
  end

  it "gives what had not reached the server to nobody else, and back to who typed it" do
    bench_of(person, "Leg extension 1")
    offline do
      find("[aria-label^='Roller one mark down']").click
      expect(page).to have_css("[data-saving=waiting]")
      # The lock reaches the server only now; the draft waits for its owner.
      page.execute_script(<<~JS)
        window.keptFetch = window.fetch;
        const saves = (input) => String(input.url || input).includes("/api/fittings/") && input.method === "PATCH";
        window.fetch = (input, init) => (saves(input) ? Promise.reject(new TypeError("offline")) : window.keptFetch(input, init));
      JS
    end
    click_button "Lock"
    take_over("Tobias Wick", "1357")
    expect(page).to have_css("[data-adjuster=roller] output", text: "D")
    expect(
      page.evaluate_script(
        "Object.keys(localStorage).filter((name) => name.startsWith('verglas.unsaved.#{maren}.')).length"
      )
    ).to eq(1)
    click_button "Lock"
    take_over("Maren Oldcastle", "2468")
    expect(page).to have_css("[data-adjuster=roller] output", text: "C")
    page.execute_script("window.fetch = window.keptFetch")
    expect(page).to have_css("[data-saving=kept]")
    expect(
      page.evaluate_script("Object.keys(localStorage).filter((name) => name.startsWith('verglas.unsaved.')).length")
    ).to eq(0)
  end

  it "is handed to a client with nothing but the list, and comes back by PIN" do
    bench_of(person, "Leg extension 1")
    click_button(text: /\ANext:/)
    find("[data-step='@working'] button").click
    click_button "Next: write down"
    click_button "Accept and write down"
    within("[data-machine='Leg extension 1']") { click_link(text: /Set up/) }
    click_button "Hand to the client"
    expect(page).to have_css("[data-line=roller]")
    expect(page).to have_no_css("nav")
    expect_accessible("a tablet in a client's hands")
    visit "/clients/#{person[:id]}"
    expect(page).to have_css("h1", text: "Locked")
    take_over("Maren Oldcastle", "2468")
    expect(page).to have_css("h1", text: "Matteus Orr")
  end
end
