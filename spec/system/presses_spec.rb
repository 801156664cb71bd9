# frozen_string_literal: true

require "system_helper"

# The bench of a press in the browser: the movement by hand, the feet by touch, a limit found on the machine, to
# acceptance.
RSpec.describe "A press on the bench" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:person) { client(loft, account, name: "Imre Talbot-Vane", sex: "man", stature: 1700, seat_to_kneecap: 604) }

  before { machine(loft, "incline_sled", name: "Leg press 1") }

  def bend(motion) = find("[data-bend='#{motion}'] dd").text[/−?\d+/].tr("−", "-").to_i
  def at(step) = find("[data-step='#{step}'] button", match: :first).click
  def placed(name) = find("[data-placed='#{name}'] output").text.to_i

  def on_bench
    sign_in
    bench_of(person, "Leg press 1")
    at "@foot_mm"
    expect(page).to have_css("[data-figure=plate]")
  end

  it "moves from the bottom to the top by keyboard, each joint straighter on the way" do
    on_bench
    bottom = bend("knee_flexion")
    expect(bottom).to eq(finding("knee_depth").to_i)
    page.execute_script("document.querySelector('[data-travel] input').focus()")
    3.times { keys :right }
    expect(bend("knee_flexion")).to be < bottom
    keys :end
    expect(bend("knee_flexion")).to eq(5)
  end

  it "places the feet by a touch on the plate, says what that does, and takes it back" do
    loft.clients.measure(
      person[:id],
      version: person[:version],
      limits: {
        hip_bend: {
          reading: 115,
          deg: 115,
          by: "Maren Oldcastle",
          at: Time.now.utc.iso8601
        }
      }
    )
    on_bench
    advised = placed("foot_mm")
    box =
      page.evaluate_script(
        "(() => { const box = document.querySelector('[data-figure=plate] rect').getBoundingClientRect(); return " \
          "[box.x, box.y, box.width, box.height] })()"
      )
    page.driver.browser.mouse.click(x: box[0] + (box[2] / 2), y: box[1] + (box[3] * 0.3))
    expect(page).to have_css("[data-finding=knee_depth]", text: "off")
    expect(placed("foot_mm")).to be > advised + 50
    expect(find("[data-finding=knee_depth]")).to have_text("the pelvis rolls")
    click_button "advised #{advised}"
    expect(page).to have_css("[data-finding=knee_depth]", text: "in line")
    kept
  end

  it "remembers where the pelvis starts to roll, and is accepted with feet and marks on the card" do
    on_bench
    page.execute_script("document.querySelector('[data-travel] input').focus()")
    2.times { keys :right }
    seen = bend("hip_flexion")
    click_button "Pelvis starts to roll here"
    expect(page).to have_text("#{seen}° is remembered")
    expect(page).to have_css("[data-bend='hip_flexion']", text: "of #{seen}°")
    expect(page).to have_text("No place of the feet gives 90°")
    click_button "Back to the advised"
    at "@write"
    click_button "Accept and write down"
    expect(page).to have_css("[data-machine='Leg press 1']", text: "Stops")
    expect(page).to have_text(/Heels \d+ mm up the plate/)
    expect(Verglas::Store::Sealed.open(:clients, db[:clients].first)[:limits].to_h.fetch("hip_bend")).to include(
      "on" => "Leg press 1",
      "by" => "Maren Oldcastle"
    )
  end
end
