# frozen_string_literal: true

require "system_helper"

# The bench of every knee family: its own parts are drawn where the numbers say.
RSpec.describe "The bench of each knee family" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:person) do
    client(loft, account, name: "Matteus Orr", sex: nil, stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541)
  end

  before { sign_in }

  def open_bench(fixture, name, exercise: "")
    row = machine(loft, fixture, name: name)
    bench = Verglas::Application::Meeting.new(loft, client: person, machine_row: row, exercise: exercise)
    sheet = Verglas::Application::Sheet.at_opening(bench, last: nil, sibling: nil)
    draft, =
      loft.fittings.open(
        client_id: person[:id],
        machine_id: row[:id],
        exercise: exercise,
        description_number: 1,
        by: account,
        **sheet
      )
    visit "/fittings/#{draft[:id]}"
    expect(page).to have_css("[data-adjuster]")
    Verglas::Application::Meeting.of(loft, draft[:id])
  end

  def part(name) = find("[data-figure=side] [data-part=#{name}]", visible: :all)
  def evaluation(bench) = bench.evaluation(bench.fitting[:marks].to_h, bench.fitting[:aids].to_h)

  it "draws the parts of each family, and tells the picture in words" do
    open_bench("curl_plain", "Leg curl 1")
    expect(part("thigh_pad")).to be_truthy
    find("[aria-label^='Thigh pad one mark up']").click
    expect(page).to have_button("Back to the advised")
    open_bench("lie_flat", "Lying curl 1")
    expect(part("bench")).to be_truthy
    expect(page).to have_css("[data-finding=kneecap_clear]", text: "in line")
    expect(find("[data-figure=side]")["aria-label"]).to include("Kneecaps just off the end of the pad.")
  end

  it "puts a pad under the hips, tells what it does, and takes it away when asked" do
    loft.equipment.replace("cushion_back" => [], "cushion_seat" => [], "hip_pad" => [30, 50])
    open_bench("lie_flat", "Lying curl 1")
    expect(page).to have_css("[data-step='@before']", text: "Before anyone lies down")
    find("[data-step='@support'] button").click
    click_button "More"
    expect(page).to have_css("[data-step='@support']", text: "The pelvis stays down")
    expect(page).to have_text("With the 50 mm pad under the hips")
    expect(part("hip_pad")).to be_truthy
    bend = finding("start")
    within("[data-aid=hip_pad_mm]") { find("label", text: "none").click }
    expect(page).to have_no_css("[data-part=hip_pad]", visible: :all)
    expect(finding("start")).not_to eq(bend)
    expect(page).to have_button("Back to the advised")
    kept
    expect(db[:fittings].get(:aids)["hip_pad_mm"]).to eq(0.0)
  end

  it "switches between a station's exercises, the seat shared and shown as shared" do
    open_bench("shared_seat", "Leg station", exercise: "extension")
    expect(find("[data-adjuster='back pad']")).to have_text("one seat for every exercise")
    find("[aria-label^='Back pad one mark up']").click
    moved = mark("back pad")
    kept
    within("[aria-label=Exercise]") { click_button "Curl" }
    expect(page).to have_css("[data-part='thigh_pad']", visible: :all)
    expect(mark("back pad")).to eq(moved)
    expect(page).to have_css("[aria-pressed=true]", text: "Curl")
    expect(db[:fittings].select_order_map(:exercise)).to eq(%w[curl extension])
  end

  it "takes marks, load, signs and a note on a machine that is not taped, and shows them on the record" do
    row = machine(loft, "curl_plain", name: "Leg curl 3")
    bare = row[:adjusters].map { |adjuster| adjuster.merge("travel" => nil) }
    loft.machines.update(
      row[:id],
      version: 1,
      by: account,
      description: {
        constants: {
        },
        adjusters: bare,
        exercises: {
        },
        taped: {
        }
      }
    )
    visit "/clients/#{person[:id]}"
    expect(page).to have_text("not taped")
    click_button(text: /\AFit/)
    expect(page).to have_text("This machine is not taped")
    2.times { find("[aria-label^='Roller one mark up']").click }
    click_button "Watch"
    find("label", text: "Hips lift").click
    click_button "Write down"
    fill_in "Load", with: "pin 4"
    fill_in "Note", with: "Narrow pad at home."
    kept
    expect_accessible("writing down")
    visit current_path
    click_button "Write down"
    expect(page).to have_field("Load", with: "pin 4")
    click_button "Accept and write down"
    expect(page).to have_text("pin 4")
    click_link(text: /Leg curl 3, /)
    expect(page).to have_text("Signs: hips lift.")
    expect(page).to have_text("Narrow pad at home.")
    expect(page).to have_text("Not drawn: the machine was not taped.")
  end

  it "says what is told while the arm is not taped: the lens alone, and the seat advised" do
    row = machine(loft, "curl_plain", name: "Leg curl 4")
    data = row[:constants].to_h.except("roller_reach")
    loft.machines.update(
      row[:id],
      version: 1,
      by: account,
      description: {
        constants: data,
        adjusters: row[:adjusters].to_a,
        exercises: {
        },
        taped: {
        }
      }
    )
    visit "/clients/#{person[:id]}"
    click_button(text: /\AFit/)
    expect(page).to have_text("Taped in part")
    expect(page).to have_css("[data-figure=lens] [data-mark]", minimum: 2, visible: :all)
    expect(page).to have_no_css("[data-figure=side]")
    expect(find("[data-adjuster=roller]")).to have_text("by eye, and written down")
    expect(page).to have_css("[data-finding=offset]")
    expect_accessible("a machine taped in part")
  end
end
