# frozen_string_literal: true

require "system_helper"

RSpec.describe "Re-fits that are due, in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { client(loft, account, name: "Ingrid Vass", sex: "woman", stature: 1700, seat_to_kneecap: 604) }

  before do
    sign_in
    id = asked("/api/fittings", client_id: person[:id], machine_id: here[:id])["id"]
    asked("/api/fittings/#{id}/acceptance", marks: first_fitting[:marks].to_h, version: 1, reason: "As far as it goes.")
    db[:fittings].update(accepted_at: Time.now - (400 * 86_400))
  end

  it "stand on the floor with why, can be put off with a reason, and are fitted again" do
    visit "/"
    expect(page).to have_css("[data-refits] li", text: /Ingrid Vass.*13 months have gone by/m)
    click_link "All 1"
    expect(page).to have_css("[data-due]", text: "Computed, never seen by eye.")
    click_button "Later"
    expect_accessible("putting off")
    fill_in "Why can it wait?", with: "Away on the boats."
    click_button "Put off"
    expect(page).to have_text("Nothing is due")
    db[:refit_snoozes].delete
    visit "/refits"
    click_button "Fit again"
    expect(page).to have_css("[data-step]", minimum: 2)
  end
end
