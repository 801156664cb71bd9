# frozen_string_literal: true

RSpec.describe Verglas::Tables do
  tables = Dir[File.join(described_class::FOLDER, "*.yml")].map { |file| File.basename(file, ".yml") }

  it "reads a table once" do
    expect(described_class[:knee]).to equal(described_class[:knee])
  end

  tables.each do |name|
    it "freezes #{name} to its leaves" do
      leaves = [described_class[name.to_sym]]
      until leaves.empty?
        node = leaves.shift
        expect(node).to be_frozen
        leaves.concat(node.is_a?(Hash) ? node.values : Array(node)) if node.is_a?(Enumerable)
      end
    end
  end
end
