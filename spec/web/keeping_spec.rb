# frozen_string_literal: true

require "web_helper"

RSpec.describe "How long what is kept is kept" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:gone) { client(loft, account, name: "Ada", stature: 1700) }
  let!(:back) { client(loft, account, name: "Bo", stature: 1700) }
  let!(:here) { machine(loft, "slide_back") }

  before do
    sign_in
    long_ago = Time.now - (4 * 366 * 86_400)
    db[:clients].update(created_at: long_ago, updated_at: long_ago)
    db[:readings].update(taken_at: long_ago)
    call(:post, "/api/fittings", { client_id: back[:id], machine_id: here[:id] })
  end

  def keep(years)
    call(
      :put,
      "/api/gym",
      { address: "", wall_names: "initial", keep_years: years, version: call(:get, "/api/gym")["version"] }
    )
  end
  def past = call(:get, "/api/past-their-time")["clients"].map { |one| one["name"] }
  def erase(ids, number) = call(:post, "/api/past-their-time/erasure", { ids: ids, number: number, keep_marks: false })

  it "is for ever until the gym says otherwise; then those of whom nothing was written since are told" do
    expect([call(:get, "/api/gym")["keep_years"], past]).to eq([nil, []])
    keep(3)
    expect(past).to eq(["Ada"])
    keep(5)
    expect(past).to eq([])
    expect(keep(0)["path"]).to eq("/keep_years")
  end

  it "ends with an erasure that is confirmed by their number; nobody who came back goes" do
    keep(3)
    expect([erase([gone[:id]], 2)["code"], erase([gone[:id], back[:id]], 2)["code"], db[:clients].count]).to eq(
      ["number_differs", "number_differs", 2]
    )
    expect(erase([gone[:id]], 1)).to eq({ "ok" => true })
    expect(db[:clients].select_map(:name)).to eq(["Bo"])
    expect(db[Sequel[:kept][:audit]].select_map(%i[action subject])).to include(
      ["erase_past_their_time", nil],
      ["erase_client", gone[:id]]
    )
  end

  it "is the lead's to say and to do" do
    keep(3)
    db[:accounts].update(role: "instructor")
    call(:get, "/api/past-their-time")
    expect([status, erase([gone[:id]], 1)["code"]]).to eq([403, "lead_only"])
  end
end
