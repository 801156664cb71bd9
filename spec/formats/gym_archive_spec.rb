# frozen_string_literal: true

require "spec_helper"
require_relative "../../config/formats"
require "stringio"

RSpec.describe Verglas::Formats::GymArchive do
  def read(text)
    [].tap { |told| described_class.each(StringIO.new(text)) { |member, value| told << [member, value] } }
  end

  def refused(text = nil)
    text ? read(text) : yield
    nil
  rescue Verglas::Invalid => e
    e.code
  end

  it "tells each member, and lists record by record, however it is laid out" do
    text =
      JSON.generate(
        { format: "x", gym: { "a" => [1, { "b" => 2.5 }] }, clients: [{ id: 1, l: [1, [2]] }, { id: 2 }], none: [] }
      )
    expect(read(text)).to eq(
      [
        %w[format x],
        ["gym", { "a" => [1, { "b" => 2.5 }] }],
        ["clients", { "id" => 1, "l" => [1, [2]] }],
        ["clients", { "id" => 2 }]
      ]
    )
    expect(read(JSON.pretty_generate(JSON.parse(text)))).to eq(read(text))
  end

  it "reads every number to its last digit" do
    random = Random.new(4)
    numbers = Array.new(500) { random.rand * (10**random.rand(-8..8)) }
    expect(read(JSON.generate({ n: [{ "all" => numbers }] })).first.last["all"]).to eq(numbers)
  end

  it "tells nothing that is no text, wherever the bytes are wrong" do
    good = JSON.generate({ clients: Array.new(20) { |n| { id: n, name: "José #{n}", l: ["é"] } } }).b
    random = Random.new(9)
    400.times do
      bytes = good.dup
      3.times { bytes.setbyte(random.rand(bytes.bytesize), random.rand(256)) }
      told = []
      refused { described_class.each(StringIO.new(bytes)) { |*pair| told << pair } }
      expect { JSON.generate(told) }.not_to raise_error
    end
  end

  it "refuses what is no such document, whatever it is" do
    texts = [
      "",
      "5",
      "[1]",
      "{\"a\":1}{\"b\":2}",
      "{\"a\":[{\"b\":1}",
      "{\"a\":#{"[" * 60}#{"]" * 60}}",
      "{\"a\":\"\xFF\"}",
      "{\"a\":1e999}",
      "{\"a\":NaN}",
      "{\"a\":[{\"b\":\"\\u0000\"}]}",
      "{\"a\":#{"9" * 30}}",
      "{'a':1}",
      "{\"a\":[{\"b\":1}]} and more",
      "\xFF\xFE",
      "{\"a\":\"\\ud800\"}"
    ]
    expect(texts.to_h { |text| [text[0, 20], refused(text)] }.reject { |_, code| code == :not_json }).to eq({})
  end
end
