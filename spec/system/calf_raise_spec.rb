# frozen_string_literal: true

require "system_helper"

# The first newcomer to the house, on the floor: from the client's card to the record.
RSpec.describe "A seated calf raise in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "pad_on_lever", name: "Calf raise 1") }
  let!(:person) do
    client(
      loft,
      account,
      name: "Ione Fairweather",
      sex: "woman",
      stature: 1648,
      floor_to_knee_top: 519,
      thigh_depth: 140
    )
  end

  before { sign_in at: "/clients/#{person[:id]}" }

  it "is fitted from the card, changed by a mark and back, watched, and accepted with what stood" do
    within("[data-machine='Calf raise 1']") { click_button(text: /Fit/) }
    expect(page).to have_css("[data-adjuster=pad]")
    expect(find("[data-figure=side]")["aria-label"]).to include("The pad rests on the thighs")
    advised = mark("pad")
    find("[aria-label^='Pad one mark up']").click
    expect(page).to have_button("advised #{advised}")
    click_button "advised #{advised}"
    expect(mark("pad")).to eq(advised)
    kept
    visit "/clients/#{person[:id]}"
    within("[data-machine='Calf raise 1']") { find("button, a", text: /\AResume/).click }
    find("[data-step='@working'] button").click
    expect(page).to have_text("Heels down to 10° at most, and no bounce there.")
    click_button "Next: write down"
    kept
    click_button "Accept and write down"
    expect(page).to have_css("[data-machine='Calf raise 1']", text: "Maren Oldcastle")
    row = first_fitting
    expect([row[:state], row[:marks].to_h]).to eq(["accepted", { "pad" => advised }])
    visit "/fittings/#{row[:id]}"
    expect(page).to have_text("Computed from")
    expect(page).to have_css("[data-figure=side]")
  end
end
