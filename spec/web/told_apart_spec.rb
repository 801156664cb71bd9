# frozen_string_literal: true

require "web_helper"

# Where others may read names, nobody is taken for somebody else.
RSpec.describe Verglas::Web::Views::Client do
  def people(*names) = names.each_with_index.map { |name, index| { id: "#{index}a7f-rest", name: name } }
  def initials(*names) = Verglas::Web::Views::WallSheet::NAMES.fetch("initial").call(people(*names)).values

  it "takes one letter of a surname where that is enough, and as many more as tell namesakes apart" do
    expect(initials("Imre Talbot-Vane", "Solveig Arkwright")).to eq(["Imre T.", "Solveig A."])
    expect(initials("Imre Talbot-Vane", "Imre Thwaite", "Imre Quill")).to contain_exactly(
      "Imre Ta.",
      "Imre Th.",
      "Imre Q."
    )
    expect(initials("Imre Talbot", "Imre Talbot-Vane")).to contain_exactly("Imre Talbot.", "Imre Talbot-.")
  end

  it "tells by number whom no letter tells apart, whether names stand whole or short" do
    expect(initials("Ada Lowe", "Ada Lowe")).to contain_exactly("Ada Lowe. 0A7F", "Ada Lowe. 1A7F")
    expect(
      Verglas::Web::Views::WallSheet::NAMES.fetch("full").call(people("Ada Lowe", "Ada Lowe", "Una Lowe")).values
    ).to contain_exactly("Ada Lowe 0A7F", "Ada Lowe 1A7F", "Una Lowe")
  end
end
