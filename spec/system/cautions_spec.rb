# frozen_string_literal: true

require "system_helper"

RSpec.describe "Cautions in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) do
    client(loft, account, name: "Dagny Holm", sex: "man", stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541)
  end

  before { sign_in }

  it "writes a caution down, bars the machine until a clinician has cleared it, then narrows what is advised" do
    visit "/clients/#{person[:id]}"
    click_link "Cautions"
    expect(page).to have_text("No caution is known.")
    click_button "Add a caution"
    within("[role=dialog]") do
      find("label", text: "Left", exact_text: true).click
      fill_in "Note", with: "Since the ferry."
    end
    expect_accessible("a caution being written")
    within("[role=dialog]") { click_button "Keep" }
    expect(page).to have_css("[data-caution=knee]", text: "Left knee pain or injury")
    expect(page).to have_text("not cleared · Since the ferry.")

    visit "/clients/#{person[:id]}"
    expect(find("[data-barred]", text: "Leg extension 1")).to have_text("not advised until a clinician has cleared it")

    visit "/clients/#{person[:id]}/cautions"
    click_button "Correct"
    within("[role=dialog]") do
      fill_in "Cleared by", with: "Dr Fenwick"
      click_button "Keep"
      expect(page).to have_text("Who cleared it, and when?")
      segments = all("[role=spinbutton]").last(3)
      segments
        .zip(%w[02 03 2026])
        .each do |segment, text|
          segment.click
          keys text
        end
      click_button "Keep"
    end
    expect(page).to have_text("cleared by Dr Fenwick, 2 March")
    bench_of(person, "Leg extension 1")
    expect(page).to have_text("Because of the cautions: knee between 10° and 80° of bend")
    expect(page).to have_no_css("[role=alert]")
    click_button "Back to the advised" if page.has_button?("Back to the advised", wait: 1)
    click_button "Write down"
    click_button "Accept and write down"
    expect(page).to have_text("Accepted fittings")
  end

  it "takes out what was written by mistake with a reason, and puts it back" do
    loft.cautions.put(person[:id], "heart", version: nil, by: account, note: "")
    visit "/clients/#{person[:id]}/cautions"
    click_button "Correct"
    within("[role=dialog]") do
      click_button "Written by mistake"
      click_button "Take it out"
      expect(page).to have_text("Why was it wrong?")
      fill_in "Why was it wrong?", with: "Wrong client"
      expect_accessible("a caution being taken out")
      click_button "Take it out"
    end
    expect(page).to have_text("No caution is known.")
    expect(page).to have_css("[data-removed=heart]", text: "Wrong client · Maren Oldcastle")
    click_button "Put back"
    expect(page).to have_css("[data-caution=heart]")
    expect(page).to have_no_css("[data-removed]")
  end
end
