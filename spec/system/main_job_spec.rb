# frozen_string_literal: true

require "system_helper"

RSpec.describe "The main job in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }

  it "is done by keyboard alone: sign in, add a client, tape, fit, accept, see the card" do
    visit "/"
    expect_focus("Email")
    keys "maren@netloft.example", :tab, Given::PASSWORD, :enter
    expect_focus("Find a client")

    keys "/"
    expect(page).to have_field("Find a client", with: "/") # while typing, the key is a letter
    keys :backspace, "ba"
    expect(page).to have_text("Nobody has these letters")
    tab_to "Add a client"
    keys :enter
    expect_focus("Name")
    keys "Bas Ekdahl", :tab, "trawler", :tab
    keys :left, :left # man: the group wraps from Not given
    tab_to "Add and take the tape"
    keys :enter

    expect(page).to have_css("h2", text: "Height")
    keys "182.2", :enter
    expect(page).to have_css("h2", text: "Seat to")
    tape_by_keyboard("Seat to kneecap", "64,1")
    tape_by_keyboard("Floor to top of knee", "57.2")
    expect(loft.readings.of(db[:clients].get(:id)).map { |row| [row[:observation], row[:value_mm].to_f] }).to eq(
      [["stature", 1822.0], ["seat_to_kneecap", 641.0], ["floor_to_knee_top", 572.0]]
    )

    tab_to(/to the card/i)
    keys :enter
    expect(page).to have_css("h1", text: "Bas Ekdahl")
    cautions_by_keyboard
    tab_to(/\AFit/)
    keys :enter
    expect(page).to have_css("[data-figure=side]")
    bench_by_keyboard
    expect(page).to have_current_path("/clients/#{db[:clients].get(:id)}")
    visit current_path
    within("[data-machine='Leg extension 1']") { expect(page).to have_text("Maren Oldcastle") }
    expect(db[:fittings].where(state: "accepted").count).to eq(1)
    expect(db[:fittings].get(:marks).to_h).to eq({ "back pad" => "4", "roller" => "C", "start" => "3" })
  end

  def expect_focus(label)
    expect(page).to have_field(label)
    expect(page).to have_css("input:focus")
    expect(find("input:focus")).to eq(find_field(label))
  end

  def focused
    page.evaluate_script(
      "(at => at === document.body ? '' : at.getAttribute('aria-label') || (at.closest('label') || at).innerText " \
        "|| '')(document.activeElement)"
    ).strip
  end

  # Tab until the focus is on something with this name.
  def tab_to(name)
    60.times do
      at = focused
      return if name.is_a?(Regexp) ? at.match?(name) : at == name

      keys :tab
    end
    raise "nothing called #{name} is reached by the tab key"
  end

  def tape_by_keyboard(title, value)
    unless page.has_css?("h2", text: title, wait: 1)
      page.execute_script("document.activeElement.blur()")
      tab_to(/\A#{title}/)
      keys :enter
      expect(page).to have_css("h2", text: title)
    end
    expect_focus("Reading in cm")
    keys value, :enter
    expect(page).to have_text("#{title} kept")
  end

  # A new client is fitted nowhere until somebody has asked.
  def cautions_by_keyboard
    expect(page).to have_no_button(text: /\AFit/)
    tab_to "Ask about cautions"
    keys :enter
    expect(page).to have_css("h1", text: "Cautions")
    tab_to "None of these"
    keys :space
    tab_to "Keep the answers"
    keys :enter
    expect(page).to have_text("Asked on")
    visit "/clients/#{db[:clients].get(:id)}"
  end

  def bench_by_keyboard
    expect(mark("back pad")).to eq("4")
    expect(mark("roller")).to eq("D")
    page.execute_script("document.activeElement.blur()")
    keys "]", "]", "]", "]"
    expect(page).to have_css("[aria-current=step]", text: "Roller on the shin")
    keys :left
    expect(mark("roller")).to eq("C")
    keys "u"
    expect(mark("roller")).to eq("D")
    keys :left, "]", "]", "]", "]", "]", "]"
    expect(page).to have_css("[aria-current=step]", text: "Write down")
    kept
    tab_to "Accept and write down"
    keys :enter
    expect(page).to have_text("Card")
  end

  it "refuses a slip of the tape with what was expected, keeps what was typed, and takes it when read twice" do
    person = client(loft, account, name: "Ione Fairweather", sex: "woman", stature: 1700)
    sign_in
    visit "/clients/#{person[:id]}/tape"
    click_button "Floor to top of knee"
    fill_in "Reading in cm", with: "64"
    click_button "Keep the reading"
    expect(page).to have_css("[role=alert]", text: "more than this height makes likely")
    expect(page).to have_field("Reading in cm", with: "64")
    expect(db[:readings].count).to eq(1)
    click_button "Read twice: keep it"
    expect(page).to have_text("Floor to top of knee kept: 64.0 cm")
    expect(page).to have_text("confirmed against what was expected")
  end

  it "reads inches as inches" do
    person = client(loft, account, name: "Ione Fairweather")
    sign_in
    visit "/clients/#{person[:id]}/tape"
    find("label", text: "inches").click
    fill_in "Reading in inches", with: "67"
    click_button "Keep the reading"
    expect(page).to have_text("Height kept: 67.0 in")
    expect(db[:readings].get(:value_mm).to_f).to eq(1701.8)
  end

  it "keeps what was typed across a reload and says what a wrong number should look like" do
    person = client(loft, account, name: "Ione Fairweather")
    sign_in
    visit "/clients/#{person[:id]}/tape"
    fill_in "Reading in cm", with: "tall"
    click_button "Keep the reading"
    expect(page).to have_text(/A number in centimetres, such as \d/)
    visit current_path
    expect(page).to have_field("Reading in cm", with: "tall")
  end

  it "finds clients, machines and places from anywhere with /" do
    client(loft, account, name: "Zéphyrine Maddox", detail: "choir")
    sign_in
    visit "/machines"
    expect(page).to have_css("h1", text: "Machines")
    keys "/"
    expect_focus("Find a client, a machine or a place")
    keys "ze"
    expect(page).to have_css("[role=option]", text: "Zéphyrine Maddox")
    keys :down, :enter
    expect(page).to have_css("h1", text: "Zéphyrine Maddox")
  end

  it "comes back to the page that was asked for after signing in, and forgets everything at sign-out" do
    person = client(loft, account, name: "Ione Fairweather")
    visit "/clients/#{person[:id]}"
    fill_in "Email", with: "maren@netloft.example"
    fill_in "Password", with: Given::PASSWORD
    click_button "Sign in"
    expect(page).to have_css("h1", text: "Ione Fairweather")
    click_button "Sign out"
    expect(page).to have_button("Sign in")
    expect(
      page.evaluate_script("Object.keys(sessionStorage).filter((name) => name.startsWith('verglas')).length")
    ).to eq(0)
  end

  it "says what went wrong and keeps the email when the password is wrong" do
    visit "/sign-in"
    fill_in "Email", with: "maren@netloft.example"
    fill_in "Password", with: "no"
    click_button "Sign in"
    expect(page).to have_css("[role=alert]", text: "The email or the password is wrong")
    expect(page).to have_field("Email", with: "maren@netloft.example")
  end

  it "puts no name, reading or search in an address" do
    client(loft, account, name: "Zéphyrine Maddox")
    visit "/robots.txt"
    hear_requests
    sign_in at: "/"
    fill_in "Find a client", with: "zep"
    expect(page).to have_css("[role=option]", text: "Zéphyrine")
    requests = page.driver.browser.network.traffic.filter_map { |exchange| exchange.request&.url }
    expect(requests.grep(/zep|z%C3%A9p/i)).to be_empty
    expect(requests.grep(%r{/api/clients/search}).size).to be >= 1
    expect(page.current_url).not_to match(/zep/i)
  end
end
