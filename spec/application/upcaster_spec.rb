# frozen_string_literal: true

require "web_helper"

# Records as they were kept before the picture was said by the core: each opens, with what it told then.
RSpec.describe Verglas::Application::Upcaster do
  kept = JSON.parse(File.read(File.expand_path("../fixtures/records_1.json", __dir__)))

  def family_of(record) = Verglas::Machines::Families.fetch(record["family"]).exercises.fetch(record["exercise"][/.+/])
  def upcast(record)
    described_class.read({ result: record["result"], computed_from: record["computed_from"] }, family_of(record))
  end
  def part(scene, id) = scene[:parts].find { |one| one[:id] == id }

  kept.each do |record|
    describe "#{record["machine"]} #{record["exercise"]}".strip do
      let(:figure) { record["result"]["figure"] }
      let(:up) { figure["up"] }
      let(:read) { upcast(record) }

      it "draws the very picture that was drawn: knee, hip, ankle and roller where they were" do
        scene = read[:result]["scene"]
        at = ->(place) { [figure.dig(*place, "s"), figure.dig(*place, "n") * up].map { |mm| be_within(0.06).of(mm) } }
        expect(scene[:targets].first[:joint]).to match(at[%w[poses start knee]])
        expect(part(scene, :hip)[:points].first).to match(at[%w[hip]])
        expect(part(scene, :ankle)[:points].first).to match(at[%w[poses start ankle]])
        expect(part(scene, :roller)[:points].first).to match(at[%w[poses start roller]])
        expect(part(scene, :roller_at_end)[:points].first).to match(at[%w[poses end roller]])
      end

      it "keeps every number, sentence and mark, and magnifies the joint where it lay" do
        result = read[:result]
        expect(result.except("format", "targets", "scene", "says")).to eq(
          record["result"].except("figure", "joint", "lens")
        )
        expect(result["format"]).to eq(Verglas::Application::Record::FORMAT)
        target = result["targets"].first
        expect(target.values_at(:x_mm, :y_mm)).to eq(
          [record["result"]["joint"]["s_mm"], record["result"]["joint"]["n_mm"] * up]
        )
        expect(target[:places].transform_values { |points| points.map { |point| point[:mark] } }).to eq(
          record["result"]["lens"].transform_values { |points| points.map { |point| point["mark"] } }
        )
        expect(result["says"]).to include(record["result"]["findings"].first["says"])
      end

      it "tells the knee's own range as an envelope" do
        expect(read[:computed_from]).to include("envelope" => {})
        limited =
          record["computed_from"].merge("wishes" => record["computed_from"]["wishes"].merge("knee_to_deg" => 80.0))
        expect(upcast(record.merge("computed_from" => limited))[:computed_from]["envelope"]).to eq(
          { "knee_flexion" => [nil, 80.0] }
        )
      end

      it "is left as it is once it is of today's format" do
        again = described_class.read(read, family_of(record))
        expect(again).to eq(read)
      end
    end
  end

  it "opens a record on which nothing was drawn, the arm untaped" do
    bare = kept.first.merge("result" => kept.first["result"].merge("figure" => nil))
    read = upcast(bare)[:result]
    expect([read["scene"], read["targets"].size]).to eq([nil, 1])
    untaped =
      kept.first.merge(
        "result" => kept.first["result"].merge("figure" => nil, "joint" => nil, "lens" => {}, "motion" => nil)
      )
    expect(upcast(untaped)[:result]).to include("scene" => nil, "targets" => [])
  end

  describe "over HTTP" do
    let(:loft) { gym }
    let!(:account) { staff(loft) }
    let(:person) { client(loft, account) }

    before { sign_in }

    it "opens each as it was kept, within the contract" do
      kept
        .reject { |record| record["exercise"] == "curl" }
        .each do |record|
          fixture = { "extension" => "slide_back", "curl" => "curl_plain", "lying_curl" => "lie_flat" }.fetch(
            record["family"]
          )
          row = machine(loft, fixture, name: record["machine"])
          draft, =
            loft.fittings.open(
              client_id: person[:id],
              machine_id: row[:id],
              exercise: "",
              description_number: 1,
              by: account,
              marks: record["marks"]
            )
          loft.fittings.accept(
            draft[:id],
            version: 1,
            marks: record["marks"],
            by: account,
            result: record["result"],
            computed_from: record["computed_from"]
          )
          page = call(:get, "/api/fittings/#{draft[:id]}")
          expect(page["evaluation"]["scene"]["parts"].map { |one| one["id"] }).to include("roller", "shin", "arc")
          expect(page["evaluation"]["findings"]).to eq(record["result"]["findings"])
          expect(page["computed_from"]).to include("envelope" => {}, "model" => "2026-11")
        end
    end
  end
end
