# frozen_string_literal: true

require "web_helper"

RSpec.describe "A neighbour mark that is likelier by its own rule" do
  let(:loft) { gym }
  let(:account) { staff(loft) }
  let(:row) { machine(loft, "curl_plain", name: "Leg curl 1") }

  # Every mark that the words name as ruled out by something else, over many people.
  def ruled_out
    (1500..1950)
      .step(15)
      .flat_map do |stature|
        person = client(loft, account, name: "Somebody #{stature}", sex: "man", stature: stature)
        bench = Verglas::Application::Meeting.new(loft, client: person, machine_row: row)
        bench.advice.adjusters.filter_map do |adjuster|
          mark, share = adjuster.also.max_by(&:last)
          [bench, adjuster, mark] if share && share > adjuster.probability
        end
      end
  end

  it "is told with what would be worse there, and it is worse there" do
    found = ruled_out
    expect(found).not_to be_empty
    found.each do |bench, adjuster, mark|
      said = Verglas::Web::Views::Advice.sure(bench, adjuster, adjuster.requirement)
      here = bench.advice.evaluation
      there = bench.evaluation(here.marks.merge(adjuster.label => mark), bench.advised_aids)
      expect(said).to match(/Mark #{mark} would suit too, but there: \S/), said
      expect(there.score).to be > here.score
    end
  end
end
