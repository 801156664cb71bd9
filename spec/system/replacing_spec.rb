# frozen_string_literal: true

require "system_helper"

RSpec.describe "A machine that goes, and another in its place" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:old) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:new) { machine(loft, "slide_back", name: "Leg extension 9") }
  let!(:people) do
    [["Perpetua Lowe", 1648], ["Anselm Bray", 1790], ["Wilfred Orme", 1850]].map do |name, stature|
      client(loft, account, name: name, stature: stature).tap { |one| accepted_as_advised(loft, one, old, account) }
    end
  end

  it "is chosen, tells everybody's settings, some at a time, can be stopped, and takes the old one's place" do
    stub_const("Verglas::Application::Replacing::PEOPLE", 1)
    sign_in at: "/machines/#{old[:id]}"
    click_link "Replace"
    find("button", text: "Choose a machine").click
    find("[role=option]", text: "Leg extension 9").click
    within("[data-replaced]") do
      people.each { |person| expect(page).to have_link(person[:name], wait: 15) }
      expect(page).to have_css("tr[data-check=true]", text: "Anselm Bray")
    end
    expect(page).to have_text("3 people were fitted on it.")
    expect(page).to have_no_button("Stop here")
    expect_accessible("everybody's settings on another machine")
    click_button "Replace it"
    expect_accessible("the question before a machine is replaced")
    click_button "Retire the old one"
    expect(page).to have_no_button("Replace it")
    click_link "To the machine"
    expect(page).to have_text("Leg extension 9 took its place.")
    visit "/clients/#{people.first[:id]}"
    expect(page).to have_css("[data-machine='Leg extension 9']", text: "In the place of Leg extension 1")
  end
end
