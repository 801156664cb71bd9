# frozen_string_literal: true

require "system_helper"

RSpec.describe "House rules in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) do
    client(loft, account, name: "Imre Talbot", sex: "man", stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541)
  end

  before { sign_in }

  it "says whose advice a choice changes before it is made, and the bench follows" do
    bench_of(person, "Leg extension 1")
    expect(mark("roller")).to eq("C")
    click_button "Write down"
    click_button "Accept and write down"
    expect(page).to have_text("Accepted fittings")
    click_link "House rules", match: :first
    visit "/rules"
    within("[data-question=extension_roller]") { find("label", text: "A hand's width above").click }
    within("[role=dialog]") do
      expect(page).to have_text("The advice changes on 1 of 1 cards")
      expect(page).to have_link("Imre Talbot")
      click_button "Leave it as it is"
    end
    expect(db[:gym_rules].count).to eq(0)
    within("[data-question=extension_roller]") { find("label", text: "A hand's width above").click }
    expect(page).to have_css("[role=dialog]", text: "1 of 1")
    expect_accessible("what a house rule changes")
    within("[role=dialog]") { click_button "Choose it" }
    expect(page).to have_no_css("[role=dialog]")
    bench_of(person, "Leg extension 1")
    expect(page).to have_button("Back to the advised") # as last accepted, which is not what is advised now
    click_button "Back to the advised"
    expect(mark("roller")).to eq("A")
  end

  it "keeps the gym's own seconds of a kind of machine, and the bench draws where a slow start goes faster and " \
       "paces both parts" do
    visit "/rules"
    within("[data-tempo-of=extension]") do
      fill_in "Leg extension", with: "1+1-0"
      expect(page).to have_text("House rule: 2-1-3-0")
    end
    click_button "Keep the tempos"
    within("[data-tempo-of=extension]") { expect(page).to have_text("2-1-3-0, or 1+1-0-3-0") }
    fill_in "Leg extension", with: "1+1-0-3-0"
    within("[data-tempo-of=extension]") { fill_in "Slow over (°)", with: "20" }
    click_button "Keep the tempos"
    expect(page).to have_css("[role=status]", text: "Kept.")
    bench_of(person, "Leg extension 1")
    expect(page).to have_css("[data-part=quickens]")
    expect(find("[data-part=number-quickens]").text).to eq("70°")
    find("[data-step='@working'] button").click
    expect(page).to have_css("[data-quickens]", text: "Slowly to 70° of knee bend, then faster.")
    click_button "Pace a set"
    expect(page).to have_css("[data-pacer=slow]", text: "Up, slowly")
    expect(page).to have_css("[data-pacer=fast]", text: "Up, faster")
  end

  it "asks why when an instructor chooses otherwise for a client, and shows it" do
    visit "/clients/#{person[:id]}/rules"
    within("[data-question=extension_end]") { find("label", text: "Just short").click }
    within("[role=dialog]") do
      fill_in "Why, for this client", with: "Snaps it otherwise."
      click_button "Choose it"
    end
    expect(page).to have_text("Maren Oldcastle: Snaps it otherwise.")
    bench_of(person, "Leg extension 1")
    click_button "Start of the range"
    expect(page).to have_text("Stop 10° short of straight.")
  end
end
