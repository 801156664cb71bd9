# frozen_string_literal: true

require "system_helper"

RSpec.describe "The bench on one page, in the browser" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) do
    machine(
      loft,
      "slide_back",
      name: "Leg extension 1",
      loading: {
        "kind" => "stack",
        "unit" => "kg",
        "masses" => [6, 11, 17, 23]
      }
    )
  end
  let!(:ada) { client(loft, account, name: "Ada Lowe", stature: 1700, seat_to_kneecap: 590) }
  let!(:draft) do
    loft
      .fittings
      .open(
        client_id: ada[:id],
        machine_id: here[:id],
        description_number: 1,
        marks: {
          "back pad" => "3",
          "roller" => "C",
          "start" => "3"
        },
        by: account
      )
      .first
  end

  it "is a choice that is kept, folds the steps away and nothing that keeps anybody safe" do
    loft.cautions.put(ada[:id], "loose_joints", version: nil, by: account, note: "")
    sign_in at: "/fittings/#{draft[:id]}"
    expect(page).to have_css("[data-step]")
    click_button "On one page"
    expect(page).to have_css("[data-short-bench]")
    expect(page).not_to have_css("[data-step]")
    [
      "Before anyone sits",
      "Very loose joints",
      "Where is it felt",
      "Working load",
      "Stop",
      "Accept and write down"
    ].each { |text| expect(page).to have_text(text) }
    %w[@before @light @working].each { |step| expect(page).to have_css("[data-kept='#{step}']") }
    expect(find("[data-kept='@working']")).to have_text("Stop 10° short of straight.")
    expect_accessible("the bench on one page")
    expect(db[:accounts].where(id: account).get(:short_bench)).to be(true)
    visit "/fittings/#{draft[:id]}"
    expect(page).to have_css("[data-short-bench]")
    find("label", text: "In a joint").click
    expect(page).to have_text("stops")
    click_button "Accept and write down"
    expect(page).to have_text("felt in a joint")
    find("label", text: "In the worked muscle").click
    find("textarea", match: :first).set("Long day.")
    click_button "Accept and write down"
    expect(page).to have_current_path("/clients/#{ada[:id]}")
    expect(db[:fittings].where(id: draft[:id]).get(:state)).to eq("accepted")
  end

  it "is one press away from the steps, and what was typed stays" do
    db[:accounts].where(id: account).update(short_bench: true)
    sign_in at: "/fittings/#{draft[:id]}"
    fill_in "Cue that helped", with: "Toes up."
    click_button "With steps"
    expect(page).to have_css("[data-step='@watch']")
    find("[data-step='@watch'] button", match: :first).click
    expect(page).to have_field("Cue that helped", with: "Toes up.")
    expect(db[:accounts].where(id: account).get(:short_bench)).to be(false)
  end
end
