# frozen_string_literal: true

require "system_helper"

# What an exercise is for, and what happens around the set: emphasis, moves in and out, cues, help.
RSpec.describe "Around the set" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:loading) { { kind: "stack", unit: "kg", masses: (1..16).map { |step| step * 5 }, reach: false } }

  def measured(person)
    row = loft.clients.find(person[:id])
    found = { hip_bend: 125, ankle: 36 }.to_h { |limit, deg| [limit.to_s, { "deg" => deg, "reading" => deg }] }
    loft.clients.measure(person[:id], version: row[:version], limits: row[:limits].merge(found))
  end

  it "is done for the hip: told beside even and knee, opened as a bench of its own" do
    machine(loft, "incline_sled", name: "Leg press 1")
    person = client(loft, account, sex: "woman", stature: 1648, floor_to_knee_top: 519)
    measured(person)
    sign_in at: "/clients/#{person[:id]}"
    find("[data-machine='Leg press 1']").click_button "Fit"
    click_button "Done for: Even"
    expect(page).to have_text(/Heels \d+ mm up the plate: knees \d+, hips \d+ of 100/, count: 3)
    expect_accessible("what an exercise is done for")
    within("[role=dialog]") { find("button", text: "Hip", exact_text: true).click }
    expect(page).to have_button("Done for: Hip")
    expect(page).to have_text("Leg press 1: hip")
    expect(page).to have_css("[data-effort-track] [data-effort-of]", count: 2)
  end

  it "has its moves picked and put in order, refuses an order that cannot be, and tells them at the bench" do
    here = machine(loft, "curl_plain", name: "Leg curl 1")
    sign_in at: "/machines/#{here[:id]}/correct"
    within("[data-moves=out]") do
      ["let the load come to rest", "draw the pin, thigh pad up", "lift the thigh pad a little"].each do |move|
        pick(move)
        click_button "Add"
      end
    end
    click_button "Keep"
    expect(page).to have_text("comes after “lift the thigh pad a little")
    expect_accessible("moves that cannot be done in that order")
    within("[data-moves=out]") { find("button[aria-label^='Earlier: lift the thigh pad']").click }
    click_button "Keep"
    expect(page).to have_text("Let the load come to rest, lift the thigh pad a little")
  end

  # From what can be added next.
  def pick(move)
    find("button[aria-haspopup=listbox]").click
    page.document.find("[role=option]", text: move).click
  end

  it "hears how it went on after a cue, and counts help apart" do
    here = machine(loft, "slide_back", name: "Leg extension 1", loading: loading)
    person = matteus(loft, account)
    work = { **Verglas::Application::Sheet::NO_WORK, "load_kg" => 40, "repetitions" => 10, "sets" => 2 }
    fitting = accepted_as_advised(loft, person, here, account, work: work)
    sign_in at: "/fittings/#{fitting}/set-up"
    choose_sign "Leg let fly back, the load slams"
    within("[data-cue=brake_all_the_way]") { click_button "Better" }
    find("button", text: "Hard, clean").click
    find("button", text: /Set 1/).click
    expect(page).to have_css("[data-set='1']")
    find("summary", text: "With help, or lighter at once").click
    expect(page).to have_text("Counted apart")
    expect_accessible("help at a set")
    expect(loft.db[:gym_cues].select_map(%i[name helped tried])).to eq([["brake_all_the_way", 1, 1]])
    visit "/rules/cues"
    expect(page).to have_text("helped 1 of 1 here")
    fill_in "What is said", with: "Slow as the tide."
    click_button "Add a cue"
    expect(page).to have_text("“Slow as the tide.”")
    expect_accessible("the table of cues")
  end

  def choose_sign(title)
    find("button", text: "None").click
    page.document.find("[role=option]", text: title).click
  end

  it "works the calves on a press from its bench, and comes back to the press" do
    machine(loft, "incline_sled", name: "Leg press 1")
    person = client(loft, account, sex: "woman", stature: 1648, floor_to_knee_top: 519)
    sign_in at: "/clients/#{person[:id]}"
    find("[data-machine='Leg press 1']").click_button "Fit"
    click_button "Done for: Even"
    within("[role=dialog]") { find("button", text: "Calf work", exact_text: true).click }
    expect(page).to have_text("Leg press 1: calf work")
    expect(page).to have_text("Room for the heels")
    expect(page).to have_css("[data-effort-track] [data-effort-of]", count: 1)
    expect_accessible("calf work on a press")
    click_button "Done for: Calf work"
    within("[role=dialog]") { find("button", text: "Even", exact_text: true).click }
    expect(page).to have_button("Done for: Even")
  end

  it "sets two scales that have to agree as one, each told in its own print" do
    here = machine(loft, "slide_back", name: "Leg extension 1")
    data = Worked::MACHINES.fetch("slide_back")
    person = matteus(loft, account)
    sign_in at: "/machines/#{here[:id]}/correct"
    click_button "Add the next adjuster"
    far = all("fieldset").last
    within(far) do
      fill_in "Called", with: "far pad"
      fill_in "Marks as printed", with: "A-C"
      find("button[aria-haspopup=listbox]", text: "Its own: it is set by itself").click
    end
    page.document.find("[role=option]", text: "Always that of back pad").click
    click_button "Keep"
    expect(page).to have_text("Both need as many marks: back pad has others.")
    pad = data["adjusters"].find { |one| one["label"] == "back pad" }
    within(far) { fill_in "Marks as printed", with: "A-#{(64 + pad["marks"].size).chr}" }
    click_button "Keep"
    expect(page).to have_text("always at the mark of back pad")
    bench_of(person, "Leg extension 1")
    within("[data-adjuster='back pad']") do
      expect(page).to have_text("Back pad and far pad")
      before = find("[aria-live]").text
      expect(before).to match(%r{\A\w+ / [A-Z]\z})
      first("button[aria-label*='far pad']:not([disabled])").click
      expect(page).to have_no_css("[aria-live]", exact_text: before)
      expect(find("[aria-live]").text).to match(%r{\A\w+ / [A-Z]\z})
    end
    expect(page).to have_no_css("[data-adjuster='far pad']")
    expect_accessible("adjusters that stand as one")
  end

  it "keeps the gym's bands by name, and a bench chooses among them" do
    machine(loft, "one_plate", name: "Level bench 1")
    person = client(loft, account, body_mass_kg: 70, stature: 1700)
    sign_in at: "/machines"
    fill_in "Bands, colour and newtons", with: "red 110, tar"
    within(find_field("Bands, colour and newtons").ancestor("form")) { click_button "Keep" }
    expect(page).to have_text("A name and its newtons from 5 to 400")
    fill_in "Bands, colour and newtons", with: "tar 260, red 110"
    within(find_field("Bands, colour and newtons").ancestor("form")) do
      click_button "Keep"
      expect(page).to have_text("Kept.")
    end
    expect(page).to have_field("Bands, colour and newtons", with: "red 110, tar 260")
    bench_of(person, "Level bench 1: glute_ham")
    within("[data-placed=band_help_n]") do
      expect(page).to have_text("tar 260")
      find("button[aria-label*='red 110']").click
      expect(page).to have_text("red 110")
    end
  end
end
