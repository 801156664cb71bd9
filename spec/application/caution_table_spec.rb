# frozen_string_literal: true

require "database_helper"

RSpec.describe Verglas::Application::CautionTable do
  it "stands in docs/cautions.md as it is now" do
    expect(File.read(File.join(Verglas::ROOT, "docs/cautions.md"))).to eq(described_class.markdown),
    "run bin/cautions-table"
  end

  it "has a section for every row, and every family once in each of its tables" do
    names = Verglas::Machines::Families.single.map { |family| Verglas::Formats::Words.say("families.#{family.id}") }
    sections = described_class.markdown.split(/^## /).drop(1)
    expect(sections.size).to eq(Verglas::Guidance::Cautions::RULES.size)
    sections.each do |section|
      told = section.lines.grep(/\A\| /).drop(2).map { |line| line[/\A\| (.*?) \|/, 1] }.join(", ")
      expect(names.reject { |name| told.include?(name) }).to be_empty, section.lines.first
    end
  end
end
