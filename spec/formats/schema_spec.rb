# frozen_string_literal: true

require "tmpdir"

RSpec.describe Verglas::Formats::Schema do
  let(:schema) { described_class.new("compute") }

  def complaint(definition, data)
    schema.check!(definition, data)
    nil
  rescue Verglas::Invalid => e
    [e.code, e.path]
  end

  it "names code and place of the first complaint" do
    contact = { "op" => "contact", "e" => [0, 0], "R" => 300, "D" => 90, "side" => 1, "theta" => [0] }
    expect(complaint("contact_request", contact)).to be_nil
    {
      contact.except("R") => [:missing, "/R"],
      contact.merge("R" => "300") => [:wrong_type, "/R"],
      contact.merge("side" => 2) => [:not_allowed, "/side"],
      contact.merge("theta" => []) => [:too_few, "/theta"],
      contact.merge("lamp" => 1) => [:unknown_field, "/lamp"],
      contact.merge("R" => 9999) => [:too_large, "/R"]
    }.each { |data, wanted| expect(complaint("contact_request", data)).to eq(wanted) }
  end

  it "is itself valid JSON Schema, every definition of it" do
    document = JSON.parse(File.read(File.join(described_class::FOLDER, "compute.schema.json")))
    expect(JSONSchemer.draft202012.valid?(document)).to be(true)
    expect(document["$defs"].keys.grep(/_request\z/).map { |name| name.delete_suffix("_request") }).to match_array(
      Verglas::Formats::Compute::OPERATIONS
    )
  end

  it "knows the same parameters and observations as the core" do
    definitions = JSON.parse(File.read(File.join(described_class::FOLDER, "compute.schema.json")))["$defs"]
    expect(definitions["exact_body"]["required"].map(&:to_sym)).to match_array(Verglas::Body::PARAMETERS)
    expect(definitions["readings"]["items"]["prefixItems"].first["enum"].map(&:to_sym)).to match_array(
      Verglas::Body::Observation::ALL.keys
    )
  end
end

RSpec.describe Verglas::Formats::Collection do
  it "reads a list with ids, a map, and either inside its kind" do
    Dir.mktmpdir do |folder|
      {
        '[{"id":"a"}]' => %w[a],
        '{"machines":[{"id":"b"}]}' => %w[b],
        '{"c":{"family":"extension"}}' => %w[c]
      }.each do |text, ids|
        file = File.join(folder, "machines.json")
        File.write(file, text)
        expect(described_class.read(file, :machines).keys).to eq(ids)
      end
      {
        "{" => /unreadable file/,
        "5" => /not a collection/,
        '{"machines":null}' => /not a collection/,
        "\xFF" => /unreadable file/
      }.each do |text, complaint|
        File.write(File.join(folder, "broken.json"), text)
        expect { described_class.read(File.join(folder, "broken.json"), :machines) }.to raise_error(
          Verglas::Invalid,
          complaint
        )
      end
      File.write(File.join(folder, "mixed.json"), '[{}, null, 5, {"id":"a"}]')
      expect(described_class.read(File.join(folder, "mixed.json"), :machines).keys).to eq(%w[a])
    end
  end
end
