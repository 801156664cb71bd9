# frozen_string_literal: true

require "system_helper"

# Hinge bench and adduction in the browser: chosen by a drawing, moved by hand, weight and effort side by side, to
# acceptance.
RSpec.describe "Hips on the bench" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:person) { client(loft, account, name: "Ione Fairweather", body_mass_kg: 68, stature: 1712) }

  def bend(motion) = find("[data-bend='#{motion}'] dd").text[/−?\d+/].tr("−", "-").to_i
  def effort = find("[data-effort] dd").text.to_i
  def tops = all("[data-effort-curve] [data-top]").to_h { |top| [top["data-top"].to_i, top.find(".number").text.to_i] }
  def at(step) = find("[data-step='#{step}'] button", match: :first).click

  it "moves the trunk along its range with the effort on the curve, shows what a weight adds, and is accepted as " \
       "it stood" do
    machine(loft, "pad_and_angle", name: "Hip bench 1")
    sign_in
    bench_of(person, "Hip bench 1")
    expect(page).to have_css("[data-ready]", text: "Begin here")
    at "@bottom_deg"
    expect([bend("hip_flexion"), bend("trunk")]).to eq([70, -10])
    plain = tops
    expect(plain[30]).to be > plain[60]
    page.execute_script("document.querySelector('[data-travel] input').focus()")
    keys :end
    expect([bend("hip_flexion"), bend("trunk"), effort]).to eq([0, 60, plain[60]])
    find("[aria-label='Held at the chest, kg up to 5']").click
    find("[aria-label='Held at the chest, kg up to 10']").click
    expect(page).to have_css("[data-effort-curve]", text: "body weight alone")
    expect(tops.map { |deg, nm| nm - plain[deg] }).to all(be_positive)
    find("[aria-label='Hip bend at the bottom down to 65']").click
    expect(page).to have_css("[data-finding=hinge_bottom]", text: "65°")
    at "@write"
    click_button "Accept and write down"
    expect(page).to have_css("[data-machine='Hip bench 1']", text: "Angle")
    expect(page).to have_text("10 kg held at the chest.")
    expect(first_fitting[:aids].to_h).to include("bottom_deg" => 65, "held_kg" => 10)
  end

  it "opens an adduction no wider than it is allowed, both legs seen from above, the hip under the magnifier" do
    machine(loft, "arms_turned_in", name: "Hip adduction 1")
    sign_in
    bench_of(person, "Hip adduction 1")
    expect(find("[data-figure=side]")["aria-label"]).to start_with("Seen from above")
    expect(page).to have_text("Where each back pad mark puts the hip")
    at "start"
    wide = bend("hip_abduction")
    expect(wide).to be <= 25
    find("[aria-label^='Start one mark up']").click
    expect(page).to have_css("[data-finding=spread_start]", text: "This client's limit is")
    click_button "Back to the advised"
    expect(page).to have_css("[data-finding=spread_start]", text: "in line")
    page.execute_script("document.querySelector('[data-travel] input').focus()")
    keys :end
    expect(bend("hip_abduction")).to be < wide
  end

  it "is entered by its drawing: one plate for two exercises, and each is taped" do
    sign_in at: "/machines/new"
    find("[data-family=level_hip]").click
    expect(page).to have_text("One foot plate in numbered holes")
    fill_in "Name", with: "Level bench 2"
    find("[data-asked=one_plate]").click_button("Yes, its marks")
    fill_in "Marks as printed", with: "1-12"
    click_button "Keep, then tape it"
    expect(page).to have_css("h1", text: "Tape Level bench 2")
    fill_in "Length in cm", with: "64"
    click_button "Keep it"
    find("label", text: "Glute-ham raise").click
    expect(page).to have_css("h2", text: "Foot plate to the pad's middle")
  end

  it "asks for the hinge with a stick before anything is accepted, takes the answer on the bench, and lets the " \
       "refusal go with it" do
    here = machine(loft, "pad_and_angle", name: "Hip bench 1")
    who = client(loft, account, name: "Rosalind Keane", body_mass_kg: 68, stature: 1700, shown: {})
    bench = Verglas::Application::Meeting.new(loft, client: who, machine_row: here)
    row, =
      loft.fittings.open(
        client_id: who[:id],
        machine_id: here[:id],
        description_number: 1,
        marks: bench.advice.marks,
        by: account
      )
    sign_in at: "/fittings/#{row[:id]}"
    find("[data-step='@write'] button, button", text: "Write down", match: :first).click
    click_button "Accept and write down"
    expect(page).to have_text("Nobody has noted the hinge with a stick for this client.")
    find("[data-step='@practise'] button", match: :first).click
    find("label", text: "All three contacts kept").click
    expect(page).to have_text("Noted by Maren Oldcastle")
    expect(page).to have_no_text("Nobody has noted the hinge with a stick for this client.")
    expect_accessible("what is shown first")
    find("button", text: "Write down", match: :first).click
    click_button "Accept and write down"
    expect(page).to have_current_path("/clients/#{who[:id]}")
    expect(loft.fittings.find(row[:id])[:state]).to eq("accepted")
  end
end
