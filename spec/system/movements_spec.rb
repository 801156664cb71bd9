# frozen_string_literal: true

require "system_helper"
require_relative "../../ops/arm"
require_relative "../support/phone_sensors"

# A phone as the instrument: two browsers, one at the machine and one on it; and a phone that does not exist.
RSpec.describe "A set read by a phone, in two browsers" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { client(loft, account, name: "Ingrid Vass", sex: "woman", stature: 1700, seat_to_kneecap: 604) }

  before { sign_in }

  def set(count, arc_deg)
    done =
      Array.new(count) do
        Verglas::Ops::SimulatedArm::Done.new(low: 0.0, top: 1.0, up: 1.3, hold: 0.4, down: 1.6, pause: 0.2, slam: false)
      end
    Verglas::Ops::SimulatedArm.new(done, start: arc_deg, finish: 0, seed: 3, lies: true).samples
  end

  def arc_deg
    from, upto = db[:movements].get(:asked).values_at("from_deg", "upto_deg")
    (upto - from).abs
  end

  # The phone, beside the machine's tablet.
  def on_phone(&) = Capybara.using_session(:phone, &)
  after { on_phone { page.quit } }

  # Opens the code that the tablet shows, lies still and begins.
  def begin_reading(count)
    address = find("[data-reading] code").text
    on_phone do
      resize(390, 844)
      visit address.sub(%r{\Ahttps?://[^/]+}, "")
      click_on "Open on this phone"
      expect(page).to have_css("[data-part='phone']")
      expect_accessible("the phone's page")
      expect_nothing_cut("the phone's page")
      page.driver.browser.execute(PhoneSensors::SCRIPT, set(count, arc_deg))
      page.execute_script(<<~JS)
        window.awake = 0;
        window.buzzed = 0;
        const held = { release: () => { window.awake -= 1; return Promise.resolve(); } };
        const request = () => { window.awake += 1; return Promise.resolve(held); };
        Object.defineProperty(navigator, "wakeLock", { value: { request }, configurable: true });
        Object.defineProperty(navigator, "vibrate", { value: () => { window.buzzed += 1; return true; } });
      JS
      find("label", text: "A short buzz at each repetition").click
      click_on "Let this page read the movement"
      expect(page).to have_button("Go: 2 seconds still first")
      # Moved only once it reads: however long the press takes, two seconds are still.
      click_on "Go: 2 seconds still first"
      page.execute_script("window.setOff = performance.now()")
    end
  end

  it "is counted live, loses nothing while the network is away for ten seconds, and is written down with its line" do
    id = asked("/api/fittings", client_id: person[:id], machine_id: here[:id])["id"]
    asked("/api/fittings/#{id}/acceptance", marks: first_fitting[:marks].to_h, version: 1, reason: "So.")
    go "/fittings/#{id}/set-up"
    click_on "Read with a phone"
    begin_reading(5)
    expect(page).to have_css("[data-reading='reading'] [data-arm-live]")
    expect(page).to have_css("[data-reading] output", text: "1", wait: 15)
    on_phone do
      offline do
        expect(page).to have_text("The network is away.", wait: 5)
        sleep 10
      end
      expect(page).to have_css("output", text: "5", wait: 20)
      expect(page.evaluate_script("[window.awake, window.buzzed > 0]")).to eq([1, true])
      click_on "The set is over"
      expect(page).to have_text("What it read stands on the tablet.")
      expect(page.evaluate_script("window.awake")).to eq(0)
    end
    expect(page).to have_css("[data-reading='over'] [data-movement-line]")
    expect(page).to have_text("5 of 10 repetitions.").and have_text("Say next")
    click_on "Fill in what was read"
    expect(page).to have_css("button", text: "Filled in below")
    expect_accessible("the review")
    expect_nothing_cut("the review")
    click_on "Set 1 of 2 done"
    expect(page).to have_css("[data-set='1']", text: "5")
    expect(db[:sets].exclude(movement_cipher: nil).count).to eq(1)
    expect(db[:movements].count).to eq(0)
  end

  it "is taken over into a fitting at the bench, and a limit into the form where it is kept" do
    bench_of(person, "Leg extension 1")
    click_button "Watch"
    click_on "Read with a phone"
    told = StringIO.new
    arm =
      Verglas::Ops::Arm.new(find("[data-reading] code").text, out: told, repetitions: 2, up: 0.9, hold: 0.2, down: 1.2)
    arm.call
    expect(told.string).to include("Leg extension 1", "2 counted.")
    click_on "Take it over"
    click_on "What the phone read"
    expect(page).to have_css("[role=dialog] [data-movement-line]")
    click_on "Close"
    expect(db[:fittings].exclude(movement_cipher: nil).count).to eq(1)
    go "/clients/#{person[:id]}/limits"
    within("[data-limit='heel_drop']") { click_on "Read with a phone" }
    expect(page).to have_text("On the instep of one shoe")
    expect_accessible("a code")
  end
end
