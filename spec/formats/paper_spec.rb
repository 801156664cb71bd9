# frozen_string_literal: true

require "web_helper"
require "pdf/reader"

# However much there is to say, every word of it is on the paper: what has no room goes on with the next card or page.
RSpec.describe Verglas::Formats::Paper do
  words = ->(text) { text.gsub(/\s+/, "") }
  cautions =
    Verglas::Guidance::Cautions::RULES
      .keys
      .first(12)
      .map do |name|
        "#{Verglas::Formats::Words.say("cautions.#{name}.title")}: " \
          "#{Verglas::Application::Told::Caution.kind(name)} Dr Fenwick allows: knee bend from 20° to 70°, up to 20 kg."
      end
  line =
    lambda do |name, **given|
      {
        id: "1",
        exercise: "",
        name: name,
        place: "Under the net beams, behind the long rope",
        bars: [],
        load: "22.5 kg",
        by: "Maren Oldcastle, 3 March 2026",
        marks: %w[Backrest Seat Stops].map { |label| { name: label, mark: "C" } },
        cautions: cautions,
        told: told,
        **given
      }
    end
  define_method(:told) do
    {
      "Light set first" => "10 kg",
      "First" => "Plates are sometimes left on. Heels 120 mm up the plate.",
      "Getting in" => "From the left, hips right back, both feet on the plate. " * 8,
      "How far" =>
        "Down to 67° of knee bend at most, whole foot down; up just short of locked. Press through the whole foot, " \
          "heels down. " * 6,
      "Sets" => "3 x 12, tempo 2-1-3-0",
      "Getting out" => "Catch on, then the feet. " * 8
    }
  end
  define_method(:card) do
    {
      client: "Konstantinopolitanka van der Westerschelde-Achterberg",
      detail: "mornings, with her brother",
      gym: "The Net Loft",
      day: nil,
      cautions: cautions,
      fitted: [
        instance_exec("Leg press 2", &line),
        instance_exec("Leg extension 1", cautions: [], told: { "Sets" => "2 x 10" }, &line)
      ],
      predicted: [instance_exec("Hack squat 1", by: nil, load: nil, cautions: nil, &line)],
      barred: [instance_exec("Belt squat 1", bars: cautions.first(6), marks: nil, told: {}, &line)]
    }
  end

  # Run by run as it was written: a reader's own lay-out lets lines run into one another.
  def read(paper)
    PDF::Reader.new(StringIO.new(paper.render)).pages.map { |page| page.runs(merge: false).map(&:text).join }
  end

  # Every sentence, wherever a line or a page was broken within it: heads and feet stand between two pages.
  define_method(:missing) do |pages, texts|
    head = words["Leg press 2Under the net beams, behind the long rope#{card[:client]}#{card[:detail]}"]
    all =
      pages
        .map { |page| words[page].sub(/#{words[Verglas::Formats::Words.say("paper.pain")]}.*/, "").sub(head, "") }
        .join
    texts.flat_map { |text| text.split(/(?<=[.:;,])\s/) }.reject { |part| all.include?(words[part]) }
  end

  it "goes on with a second card, numbered, where a machine's sentences have no room on one" do
    pages = read(described_class::Cards.new(card))
    expect(pages.size).to be > 2
    expect(missing(pages, [*cautions, *told.values])).to be_empty
    of = pages.size - 1
    expect(
      pages.first(of).each_with_index.map { |page, index| page.delete(" ").include?("#{index + 1}of#{of}") }
    ).to all(be(true))
    expect(pages.last).not_to match(/\d ?of ?\d/)
    expect(pages).to all(include("Konstantinopolitanka"))
  end

  it "makes room on the sheet of the floor for every caution, every note and every bar" do
    pages = read(described_class::FloorSheet.new(card))
    kept = told.except(*%w[in out cue sets].map { |name| Verglas::Formats::Words.say("paper.told.#{name}") })
    expect(missing(pages, [*cautions, *kept.values])).to be_empty
  end
end
