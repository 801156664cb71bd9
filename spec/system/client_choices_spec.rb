# frozen_string_literal: true

require "system_helper"

RSpec.describe "What a client decided" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:person) { client(loft, account, name: "Perpetua Lowe", stature: 1648) }

  it "is asked in the gym's words, withdrawn again, and whoever left stands in no list" do
    sign_in at: "/gym"
    fill_in "What clients agree to", with: "My settings are kept so that I am set up well."
    click_button "Keep"
    expect(page).to have_css("[role=status]", text: "Kept")
    visit "/clients/#{person[:id]}"
    within("[data-choices]") { click_button "Ask them" }
    expect(page).to have_text("My settings are kept so that I am set up well.")
    expect_accessible("the words that a client agrees to")
    click_button "They agree"
    within("[data-choices]") do
      expect(page).to have_text("Agreed on")
      click_button "They withdraw"
      expect(page).to have_text("Withdrew on")
      expect(page).to have_unchecked_field("Their fittings and sets may teach machines and loads", visible: :all)
      click_button "They left: put away"
      expect(page).to have_button("they are back")
    end
    visit "/clients"
    expect(page).to have_no_link("Perpetua Lowe")
  end
end
