# frozen_string_literal: true

require "web_helper"

RSpec.describe "Which single change would fit more people" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }

  before do
    sign_in
    # The tallest mark of this machine is for somebody of about 1.85 m.
    [1700, 1750, 1960, 1980, 2000].each do |stature|
      client(loft, account, name: "Somebody of #{stature}", stature: stature)
    end
  end

  def asked(row) = call(:get, "/api/machines/#{row[:id]}/widening")

  it "tells the change that helps most first, with how many it brings in line, and it does so" do
    row = machine(loft, "slide_back")
    told = asked(row)
    expect(told["asked"]).to eq(5)
    expect(told["changes"].map { |one| one["people"] }).to eq(told["changes"].map { |one| one["people"] }.sort.reverse)
    best = told["changes"].find { |one| one["says"].include?("back pad: one more mark".capitalize) }
    past = best["says"][/(\d+) mm past 5/, 1].to_i
    described = loft.machines.find(row[:id])
    adjusters = described[:adjusters].to_a.map(&:to_h)
    pad = adjusters.find { |one| one["label"] == "back pad" }
    pad["marks"] += ["6"]
    pad["travel"] += [pad["travel"].max + past]
    loft.machines.update(
      row[:id],
      version: described[:version],
      by: account,
      description: {
        constants: described[:constants].to_h,
        adjusters: adjusters,
        exercises: {
        },
        taped: {
        }
      }
    )
    expect(asked(row)["in_line"]).to eq(told["in_line"] + best["people"])
  end

  it "tells nothing of a machine that is not taped" do
    row = machine(loft, "slide_back")
    description = { constants: {}, adjusters: row[:adjusters].to_a, exercises: {}, taped: {} }
    loft.machines.update(row[:id], version: row[:version], by: account, description: description)
    asked(row)
    expect([status, JSON.parse(last_response.body)["code"]]).to eq([422, "not_taped"])
  end

  it "has words for whatever a family may be given" do
    sought = Verglas::Machines::Families.single.flat_map { |one| one.choices.values.select(&:sought?).map(&:name) }.uniq
    expect(sought).not_to be_empty
    sought.each do |name|
      expect(Verglas::Formats::Words.maybe("widening.added.#{name}", size: 20)).to be_a(String), name.to_s
    end
  end
end
