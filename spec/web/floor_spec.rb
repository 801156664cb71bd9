# frozen_string_literal: true

require "web_helper"

RSpec.describe "The floor" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:people) { %w[Ada Bo Cy].map { |name| client(loft, account, name: name, stature: 1700) } }

  before { sign_in }

  def fitted(person)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: { "back pad" => "3", "roller" => "C", "start" => "2" }, version: 1, reason: "So." }
    )
    id
  end

  def floor = call(:get, "/api/floor")

  it "says who is on a machine, how many sets are done, and no more once they have gone" do
    expect(floor["now"]).to eq([])
    id = fitted(people.first)
    call(:post, "/api/fittings/#{id}/set-up", {})
    expect(
      floor["now"].map { |one| [one["client"]["name"], one["machine"]["name"], one["sets"], one["stopped"]] }
    ).to eq([["Ada", "Leg extension 1", 0, false]])
    2.times do
      call(
        :post,
        "/api/fittings/#{id}/sets",
        {
          load_kg: nil,
          repetitions: 10,
          last: "clean",
          reached: 1,
          felt: "front_thigh",
          sign: nil,
          leg: "",
          watched_by: account
        }
      )
    end
    expect(floor["now"].map { |one| one["sets"] }).to eq([2])
    call(
      :post,
      "/api/fittings/#{id}/sets",
      { load_kg: nil, repetitions: 10, last: nil, reached: nil, felt: "knee", sign: nil, leg: "", watched_by: account }
    )
    expect(floor["now"].map { |one| one.values_at("sets", "stopped") }).to eq([[3, true]])
    db[:visits].update(begun_at: Time.now - 4000, last_at: Time.now - 3000)
    expect(floor["now"]).to eq([])
  end

  it "says who waits where, in their order, and how each machine stands" do
    expect(floor["queues"]).to eq([])
    version = call(:get, "/api/machines/#{here[:id]}/queue")["version"]
    call(:put, "/api/machines/#{here[:id]}/queue", { clients: [people[2][:id], people[0][:id]], version: version })
    expect(floor["queues"].map { |one| [one["machine"]["name"], one["clients"].map { |who| who["name"] }] }).to eq(
      [["Leg extension 1", %w[Cy Ada]]]
    )
    call(:post, "/api/fittings/#{fitted(people[1])}/set-up", {})
    expect(floor["machines"].first["standing"].first["marks"].map { |tag| tag.values_at("label", "mark") }).to eq(
      [["back pad", "3"], %w[roller C], %w[start 2]]
    )
  end

  it "knows nothing of another gym's" do
    call(:post, "/api/fittings/#{fitted(people.first)}/set-up", {})
    elsewhere = gym("Elsewhere")
    staff(elsewhere, email: "spy@elsewhere.example")
    sign_in(email: "spy@elsewhere.example")
    expect(floor.values.flatten).to eq([])
  end
end
