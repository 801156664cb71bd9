# frozen_string_literal: true

require "system_helper"

RSpec.describe "Limits, loads and stricter cautions in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { client(loft, account, name: "Matteus Orr", sex: "man", stature: 1822) }

  before { sign_in }

  it "measures a limit, says what a wrong number should look like, and narrows the bench" do
    visit "/clients/#{person[:id]}/limits"
    within("[data-limit=knee_bend]") do
      fill_in "Bend of the knee, degrees", with: "far"
      click_button "Keep"
      expect(page).to have_text("A number of degrees.")
      fill_in "Bend of the knee, degrees", with: "75"
      click_button "Keep"
      expect(page).to have_text("75°")
    end
    expect_accessible("limits")
    visit "/clients/#{person[:id]}"
    within("[data-machine='Leg extension 1']") { click_button(text: /\AFit/) }
    expect(page).to have_text("knee bent 75° at most")
  end

  it "describes how a machine is loaded, keeps what was typed, and loads by it at the bench" do
    visit "/machines/#{here[:id]}/correct"
    find("label", text: "Stack and pin").click
    fill_in "Masses on the stack", with: "heavy"
    click_button(text: /Keep|Correct|Save/)
    expect(page).to have_text("The mass at each mark, such as 5-50 by 5, 60.")
    fill_in "Masses on the stack", with: "5-20 by 5, 30"
    fill_in "Add-ons", with: "2.5"
    find("label", text: "It has a belt").click
    expect_accessible("how a machine is loaded")
    click_button(text: /Keep|Correct|Save/)
    expect(page).to have_text("a stack, 5, 10, 15, 20, 30 kg; add-ons 2.5 kg")
    expect(db[:machines].get(:loading).to_h["masses"]).to eq([5, 10, 15, 20, 30])
    visit "/machines"
    fill_in "Plates, mass × pairs", with: "20 x 2, 45 lb x 1"
    within(find("form", text: "Plates, mass")) { click_button "Keep" }
    expect(page).to have_field("Plates, mass × pairs", with: /20.412 × 1, 20 × 2/)
  end

  it "lets a gym be stricter with a caution than the table" do
    visit "/rules"
    within("[data-caution=back]") { find("label").click }
    expect(page).to have_css("[data-caution=back] [data-selected]")
    expect(db[:gym_cautions].select_map(:caution)).to eq(["back"])
    expect_accessible("stricter cautions")
  end
end
