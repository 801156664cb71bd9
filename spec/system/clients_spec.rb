# frozen_string_literal: true

require "system_helper"

RSpec.describe "Clients in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }

  before { sign_in }

  it "keeps what was typed when a namesake is refused, and says what to add" do
    client(loft, account, name: "Matteus Orr", detail: "the baker")
    visit "/clients/new"
    fill_in "Name", with: "Matteus Orr"
    fill_in "What tells them apart", with: "The Baker"
    find("label", text: /\AMan\z/).click
    click_button "Add and take the tape"
    expect(page).to have_text("Add something that tells the two apart")
    expect(page).to have_field("Name", with: "Matteus Orr")
    fill_in "What tells them apart", with: "the younger"
    expect(page).to have_no_text("Add something that tells the two apart")
    click_button "Add and take the tape"
    expect(page).to have_css("h1", text: "Tape: Matteus Orr")
    expect(db[:clients].select_map(:id).map { |id| loft.clients.find(id).values_at(:detail, :sex) }).to include(
      ["the younger", "man"]
    )
  end

  it "refuses a mass that is no number before anything is sent" do
    visit "/clients/new"
    fill_in "Name", with: "Ada"
    fill_in "Body mass in kg (optional)", with: "heavy"
    click_button "Add and take the tape"
    expect(page).to have_text("A number of kilograms, or nothing.")
    expect(db[:clients].count).to eq(0)
  end

  it "corrects a client, and says so when a colleague was faster" do
    person = client(loft, account, name: "Ione Fairweather")
    visit "/clients/#{person[:id]}/details"
    fill_in "What tells them apart", with: "evening class"
    click_button "Save"
    expect(page).to have_css("h1", text: "Ione Fairweather")
    expect(page).to have_text("evening class")
    visit "/clients/#{person[:id]}/details"
    expect(page).to have_field("What tells them apart", with: "evening class")
    loft.clients.update(person[:id], version: 2, detail: "mornings")
    fill_in "What tells them apart", with: "choir"
    click_button "Save"
    expect(page).to have_css("[role=alert]", text: "Nothing of theirs was overwritten")
    expect(page).to have_field("What tells them apart", with: "choir")
    expect(loft.clients.find(person[:id])[:detail]).to eq("mornings")
  end

  it "shows on the card what was accepted, in the machine's own marks, and what is still open" do
    here = machine(loft, "slide_seat", name: "Leg extension 2")
    person = client(loft, account, name: "Caspian Thwaite", sex: "man", stature: 1770, seat_to_kneecap: 622)
    visit "/clients/#{person[:id]}"
    within("[data-machine='Leg extension 2']") { expect(page).to have_text("predicted from the tape") }
    predicted = all("[data-predicted] [data-mark]").map { |tag| tag["data-mark"] }
    click_button(text: /\AFit/)
    expect(page).to have_css("[data-adjuster=roller]")
    expect(["seat", "back pad", "roller"].map { |label| mark(label) }).to eq(predicted)
    expect(page).to have_css("[data-figure=side]")
    click_button "Write down"
    click_button "Accept and write down"
    within("[data-machine='Leg extension 2']") do
      ["Seat", "Back pad", "Roller", "III"].each { |text| expect(page).to have_text(text) }
      expect(page).to have_button(text: /\AFit again/)
    end
    loft.fittings.open(
      client_id: person[:id],
      machine_id: here[:id],
      description_number: 1,
      marks: {
        "seat" => "3",
        "back pad" => "E",
        "roller" => "II"
      },
      by: account
    )
    db[:fittings].where(state: "draft").update(touched: true)
    visit "/"
    click_link(text: /Caspian Thwaite.*Leg extension 2/m)
    expect(mark("roller")).to eq("II")
  end

  it "takes a reading back, and puts it back as it was read" do
    person = client(loft, account, name: "Ione Fairweather", stature: 1700)
    visit "/clients/#{person[:id]}/tape"
    click_button(text: /\AHeight/)
    click_button "Remove"
    expect(page).to have_text("Height removed.")
    expect(db[:readings].count).to eq(0)
    click_button "Put it back"
    expect(page).to have_text("Height kept: 170.0 cm.")
    expect(page).to have_no_button("Put it back")
    expect(db[:readings].first).to include(observation: "stature", value_mm: 1700, confirmed: false)
  end
end
