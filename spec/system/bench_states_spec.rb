# frozen_string_literal: true

require "system_helper"

# What an instructor meets on a loud floor: interruptions, colleagues, other units, one leg, a phone in the hand.
RSpec.describe "The bench on the floor" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:person) { matteus(loft, account) }

  before { sign_in }

  def loaded(loading, fixture: "slide_back", name: "Leg extension 1", **facts)
    machine(loft, fixture, name: name).tap do |row|
      loft.machines.update(row[:id], version: 1, by: account, loading: loading, **facts)
    end
  end

  def open_bench(line = "Leg extension 1")
    bench_of(person, line)
    expect(page).to have_css("[data-step='@before'][data-state=active]")
  end

  def to(step) = find("[data-step='#{step}'] button").click
  def draft = first_fitting
  def sheet = Verglas::Application::Sheet.of_row(draft)

  it "keeps pounds as printed from the pin to the card" do
    loaded({ kind: "stack", unit: "lb", masses: [10, 20, 30, 45], ratio: 0.5 })
    open_bench
    to "@working"
    fill_in "Wanted, lb", with: "heavy"
    click_button "Nearest"
    expect(page).to have_text("A number of lb, such as 25.")
    fill_in "Wanted, lb", with: "31"
    click_button "Nearest"
    expect(page).to have_css("[data-load] output", text: "30 lb")
    expect(page).to have_text("Pin at 30")
    expect(page).to have_text("Felt as about 15 lb behind the lever.")
    click_button "One step up, to 45 lb"
    expect(page).to have_css("[data-load] output", text: "45 lb")
    expect(page).to have_button("Nothing heavier", disabled: true)
    kept
    expect([draft[:load], sheet[:work]["load_kg"]]).to match(["45 lb", be_within(0.001).of(20.412)])
  end

  it "loads both sides alike from the gym's own plates" do
    loft.equipment.replace_plates({ 10 => 1, 5 => 1 })
    loaded({ kind: "plates", unit: "kg", bare: 8 })
    open_bench
    to "@light"
    click_button "Begin at the lightest, 8 kg"
    expect(page).to have_text("No plates")
    2.times { find("[aria-label^='One step up']").click }
    expect(page).to have_css("[data-load] output", text: "28 kg")
    expect(page).to have_text("10 kg on each side")
    expect(find("[data-light-set]")).to have_text("8 kg")
  end

  it "offers what a clinician allows since, in place of what was written down" do
    loaded({ kind: "stack", unit: "kg", masses: [5, 10, 20] })
    open_bench
    to "@working"
    click_button "Begin at the lightest, 5 kg"
    2.times { find("[aria-label^='One step up']").click }
    kept
    loft.cautions.put(
      person[:id],
      "back",
      version: nil,
      by: account,
      note: "",
      cleared_by: "Dr Fenwick",
      cleared_on: "2026-02-11",
      load_to_kg: 12
    )
    visit page.current_path
    click_button "Take 10 kg, not 20 kg"
    expect(page).to have_css("[data-load] output", text: "10 kg")
    kept
    expect([draft[:load], sheet[:work]["load_kg"]]).to eq(["10 kg", 10])
  end

  it "takes one leg at a time, and says where they differ" do
    loaded({ kind: "stack", unit: "kg", masses: [5, 10, 15, 20] }, one_leg: true)
    open_bench
    to "@working"
    find("summary", text: "One leg at a time").click
    fill_in "Left, kg", with: "20"
    fill_in "Right, kg", with: "10"
    expect(page).to have_css("[data-remark]", text: /Left and right differ by 50 % .*said only where it is so again/)
    find("label", text: "Right harder").click
    kept
    expect(sheet[:work]).to include("left_kg" => 20, "right_kg" => 10, "felt_side" => "right")
  end

  it "paces a slow timed set by its seconds, where that is the rule" do
    loft.rules.set("tempo", "slow_timed", by: account)
    loaded({ kind: "stack", unit: "kg", masses: [5, 10] })
    open_bench
    to "@working"
    expect(page).to have_text("Tempo 5-0-5-0")
    expect(page).to have_text("a set takes 60 s")
    click_button "Pace a set"
    expect(page).to have_css("[data-pacer=up]", text: /Repetition 1 ·/)
    expect(page).to have_css("[data-pacer=down]", text: /of 60 s/)
    click_button "Back to the drawing"
    expect(page).to have_css("[data-figure=side]")
  end

  def motion(wanted)
    page.driver.browser.page.command(
      "Emulation.setEmulatedMedia",
      features: [{ name: "prefers-reduced-motion", value: wanted }]
    )
  end

  it "paces without a moving bar where reduced motion is asked for, and silently unless sound is" do
    loaded({ kind: "stack", unit: "kg", masses: [5, 10] })
    motion "no-preference"
    open_bench
    to "@working"
    click_button "Pace a set"
    bar = "[data-pacer] [aria-hidden=true]"
    expect(page).to have_css(bar, visible: true)
    expect(find("label", text: "Sound").find("input", visible: :all)).not_to be_checked
    motion "reduce"
    expect(page).to have_no_css(bar, visible: true)
    expect(page).to have_css("[data-pacer]", text: /Repetition \d/)
  end

  it "keeps what was typed while the server was away, words that may speak of health in this tab alone" do
    loaded({ kind: "stack", unit: "kg", masses: [5, 10] })
    open_bench
    to "@watch"
    kept
    offline do
      fill_in "Cue that helped", with: "Slow down the last third."
      find("label", text: "Elsewhere").click
      expect(page).to have_css("[data-saving=waiting]", text: "kept on this tablet")
      stored =
        page.evaluate_script(
          "Object.entries(localStorage).filter(([name]) => name.startsWith('verglas.unsaved')).map(([, text]) => " \
            "text).join()"
        )
      expect(stored).to include("back pad")
      expect(stored).not_to match(/Slow down|elsewhere/)
    end
    visit current_path
    expect(page).to have_field("Cue that helped", with: "Slow down the last third.")
    expect(page).to have_css("[data-saving=kept]")
    expect([sheet[:cue], sheet[:work]["felt"]]).to eq(["Slow down the last third.", "elsewhere"])
  end

  it "shows both versions when a colleague went on with the same fitting, steps and all" do
    here = loaded({ kind: "stack", unit: "kg", masses: [5, 10] })
    colleague = staff(loft, email: "tobias@netloft.example", name: "Tobias Wick")
    open_bench
    marks = draft[:marks].to_h.merge("roller" => "B")
    loft.fittings.save(
      draft[:id],
      version: draft[:version],
      marks: marks,
      flow: {
        "at" => "roller",
        "done" => {
          "back pad" => {
            "marks" => marks
          }
        },
        "skipped" => {
        }
      },
      by: colleague
    )
    find("[aria-label^='Start one mark up']").click
    within("[role=dialog]") do
      expect(page).to have_text("Tobias Wick changed this fitting")
      expect(page).to have_text("Besides the marks these differ: the steps taken.")
    end
    click_button "Take theirs"
    expect(page).to have_css("[data-step=roller][data-state=active]")
    expect([mark("roller"), here[:name]]).to eq(["B", "Leg extension 1"])
    expect(find("[data-step='back pad']")["data-state"]).to eq("done")
  end

  it "goes through a station's two exercises, and compares their loads" do
    loaded(
      { kind: "stack", unit: "kg", masses: [5, 10, 15, 20, 30, 40] },
      fixture: "shared_seat",
      name: "Leg station 1"
    )
    open_bench("Leg station 1: extension")
    to "@working"
    fill_in "Wanted, kg", with: "40"
    click_button "Nearest"
    expect(page).to have_css("[data-load] output", text: "40 kg")
    kept
    within("[aria-label=Exercise]") { click_button "Curl" }
    expect(page).to have_css("[data-step='thigh pad']")
    to "@working"
    fill_in "Wanted, kg", with: "10"
    click_button "Nearest"
    expect(page).to have_css("[data-remark]", text: "The curl is 0.25 of the extension here; about 0.6 is usual.")
  end

  it "looks a card up on a phone held upright: marks to be read at arm's length, one below the other" do
    here = loaded({ kind: "stack", unit: "kg", masses: [5, 10] })
    bench = Verglas::Application::Meeting.new(loft, client: person, machine_row: loft.machines.find(here[:id]))
    row, =
      loft.fittings.open(
        client_id: person[:id],
        machine_id: here[:id],
        description_number: 1,
        marks: bench.advice.marks,
        by: account
      )
    marks = row[:marks].to_h
    loft.fittings.accept(
      row[:id],
      version: 1,
      marks: marks,
      **Verglas::Application::Record.of(bench, marks, {}),
      by: account
    )
    resize(390, 844)
    visit "/fittings/#{row[:id]}/set-up"
    expect(page).to have_css("[data-line]", count: 3)
    sizes =
      page.evaluate_script(
        "[...document.querySelectorAll('[data-line] > span')].map((mark) => " \
          "parseFloat(getComputedStyle(mark).fontSize))"
      )
    expect(sizes).to all(be_within(1).of(90))
    lefts =
      page.evaluate_script(
        "[...document.querySelectorAll('[data-line]')].map((line) => line.getBoundingClientRect().left)"
      )
    expect(lefts.uniq.size).to eq(1)
    expect_nothing_cut("setting up on a phone")
  end

  it "puts the signs behind a button on a phone, and keeps in sight what was ticked" do
    here = machine(loft, "slide_back", name: "Leg extension 1")
    bench = Verglas::Application::Meeting.new(loft, client: person, machine_row: loft.machines.find(here[:id]))
    row, =
      loft.fittings.open(
        client_id: person[:id],
        machine_id: here[:id],
        description_number: 1,
        marks: bench.advice.marks,
        by: account
      )
    resize(390, 844)
    visit "/fittings/#{row[:id]}"
    to "@watch"
    expect(page).to have_no_css("[data-sign]", visible: true)
    click_button("Tick what was seen", exact: false)
    expect(page).to have_css("[data-sign]", minimum: 4)
    first("[data-sign] label").click
    expect(page).to have_css("[data-sign] input:checked", visible: :all)
    expect(page).to have_button("Tick what was seen", exact: false, disabled: true)
  end
end
