# frozen_string_literal: true

require "system_helper"

RSpec.describe "Two records of one person, in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:kept) { client(loft, account, name: "Perpetua Lowe", stature: 1648) }
  let!(:other) { client(loft, account, name: "P. Lowe", detail: "ferry crew", stature: 1652) }

  it "are found, held side by side, made one, and two again" do
    accepted_as_advised(loft, other, here, account)
    sign_in at: "/clients/#{kept[:id]}/details"
    click_link "Another record of the same person"
    find("input[type=search]").fill_in(with: "P. Low")
    find("[role=option]", text: "P. Lowe").click
    expect(page).to have_css("[data-beside] tr", text: "Fittings\t0\t1")
    expect_accessible("two records side by side")
    click_button "Make them one, kept as Perpetua Lowe"
    expect(page).to have_css("[data-joined]", text: "P. Lowe")
    expect_accessible("what was joined")
    click_link "Back to Perpetua Lowe"
    expect(page).to have_css("[data-machine='Leg extension 1']")
    visit "/clients/#{kept[:id]}/join"
    click_button "Take apart: P. Lowe"
    expect(page).to have_text("They are two records again.")
    visit "/clients/#{other[:id]}"
    expect(page).to have_css("[data-machine='Leg extension 1']")
    expect(page).to have_text("Nobody has asked")
  end

  it "are not made one while their cautions do not agree: it says so, and nothing can be pressed" do
    loft.cautions.put(kept[:id], "loose_joints", version: nil, by: account, note: "")
    loft.cautions.put(other[:id], "loose_joints", version: nil, by: account, note: "", side: "left")
    sign_in at: "/clients/#{kept[:id]}/join"
    find("input[type=search]").fill_in(with: "P. Low")
    find("[role=option]", text: "P. Lowe").click
    expect(page).to have_text("Their cautions do not agree (1)")
    expect(page).to have_button("Make them one, kept as Perpetua Lowe", disabled: true)
  end
end
