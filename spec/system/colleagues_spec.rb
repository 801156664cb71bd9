# frozen_string_literal: true

require "system_helper"

# A colleague is quicker: what they kept is shown, what was typed here stays, and nobody's is overwritten unseen.
RSpec.describe "A colleague who was quicker" do
  let!(:loft) { gym }
  let!(:maren) { staff(loft, role: "lead") }
  let!(:tobias) { staff(loft, email: "tobias@netloft.example", name: "Tobias Wick") }
  let!(:person) { client(loft, maren, name: "Imre Talbot", stature: 1700) }

  before { sign_in }

  it "with cushions and plates: theirs is shown under what was typed, and keeping once more puts it in its place" do
    visit "/machines"
    fill_in "Behind the back", with: "20, 60"
    loft.revise(:equipment, version: 1) do
      loft.equipment.replace({ "cushion_back" => [15, 25], "cushion_seat" => [], "hip_pad" => [45] })
    end
    find("form", text: "Behind the back").click_button("Keep")
    expect(page).to have_css(
      "[role=alert]",
      text: /There now: behind the back 15, 25; on the seat none; .*under the hips 45\./
    )
    expect(page).to have_field("Behind the back", with: "20, 60")
    expect(loft.equipment.sizes["cushion_back"]).to eq([15, 25])
    expect_accessible("cushions that a colleague kept")
    expect_nothing_cut("cushions that a colleague kept")
    find("form", text: "Behind the back").click_button("Keep")
    expect(page).to have_css("[role=status]", text: "Kept.")
    expect(loft.equipment.sizes["cushion_back"]).to eq([20, 60])

    fill_in "Plates, mass × pairs", with: "20 × 4"
    loft.revise(:plates, version: 1) { loft.equipment.replace_plates({ 10.0 => 2 }) }
    find("form", text: "Plates").click_button("Keep")
    expect(page).to have_css("[role=alert]", text: "There now: 10 × 2.")
    find("form", text: "Plates").click_button("Keep")
    expect(page).to have_css("[role=status]", text: "Kept.")
    expect(loft.equipment.plates).to eq({ 20.0 => 4 })
  end

  it "with house rules, the gym's and a client's: what stands now is shown, and chosen from again" do
    visit "/rules"
    expect(page).to have_css("[data-caution=back]")
    loft.revise(:rules, version: 1) { loft.cautions.set_stricter("heart", true, by: tobias) }
    find("[data-caution=back] label").click
    expect(page).to have_css("[role=alert]", text: "Somebody else changed this in the meantime")
    expect(page).to have_css("[data-caution=heart] input:checked", visible: :all)
    expect(loft.cautions.stricter).to eq(["heart"])
    find("[data-caution=back] label").click
    expect(page).to have_css("[data-caution=back] input:checked", visible: :all)
    expect(loft.cautions.stricter).to contain_exactly("back", "heart")

    visit "/clients/#{person[:id]}/rules"
    within("[data-question=tempo]") { all("label").last.click }
    loft
      .clients
      .revise_rules(person[:id], version: 1) do
        loft.rules.set_for_client(person[:id], "belt", "always", reason: "His back.", by: tobias)
      end
    fill_in "Why, for this client", with: "Rushes."
    click_button "Choose it"
    expect(page).to have_css("[role=dialog] [role=alert]", text: "Somebody else changed this in the meantime")
    expect(page).to have_field("Why, for this client", with: "Rushes.")
    click_button "Choose it"
    expect(page).to have_no_css("[role=dialog]")
    expect(loft.rules.of_client(person[:id]).map { |row| row.values_at(:question, :reason) }).to contain_exactly(
      ["belt", "His back."],
      %w[tempo Rushes.]
    )
  end
end
