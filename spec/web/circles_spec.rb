# frozen_string_literal: true

require "web_helper"
require_relative "../support/demo_gym"

RSpec.describe "A group that rotates" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }
  let(:people) do
    ["Imre Talbot-Vane", "Perpetua Lowe", "Wendell Achterberg", "Sunniva Quill"].map { |name| person(name) }
  end
  let(:stations) { ["Leg extension 1", "Leg curl 1", "Hip abduction 1"].map { |name| station(name) } }
  let(:fields) { { name: "Tuesday circle", work_s: 60, stations: stations, people: people } }

  before { sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password]) }

  def person(name) = loft.clients.dataset.where(name: name).order(:created_at).get(:id)
  def station(name) = "#{db[:machines].where(name: name).get(:id)}/"
  def add(**changed) = call(:post, "/api/circles", { **fields, **changed })
  def turn(circle, round)
    call(:post, "/api/circles/#{circle["id"]}/round", { round: round, version: circle["version"] })
  end
  def at(circle, round) = circle["rounds"][round - 1]["cells"].map { |cell| cell["person"] }

  it "takes everybody to every station once, each after the same neighbour" do
    circle = add
    expect(status).to eq(201)
    expect(circle["rounds"].size).to eq(4)
    by_station = circle["rounds"].map { |round| round["cells"].map { |cell| cell["person"] } }.transpose
    by_station.each { |visitors| expect(visitors).to match_array(people) }
    expect(by_station.map { |visitors| visitors.rotate(visitors.index(people[0])) }.uniq.size).to eq(1)
  end

  it "says before it is gathered at which stations each works, as the rounds have it" do
    call(:put, "/api/clients/#{people[1]}/cautions", { caution: "hip_replacement", version: nil })
    told = people.to_h { |id| [id, call(:get, "/api/clients/#{id}/stations")["works"]] }
    in_use = loft.machines.in_service.select { |row| row[:state] == "in_use" }.map { |row| row[:id] }
    expect(told.values.flatten.map { |key| key.split("/").first } - in_use).to be_empty
    states =
      add["rounds"].flat_map do |round|
        round["cells"].zip(stations).map { |cell, key| [[cell["person"], key], cell["state"]] }
      end
    works = told.flat_map { |id, keys| (keys & stations).map { |key| [id, key] } }
    # Who works there may rest where a caution or their age asks for it, and is never sent elsewhere.
    expect(states.to_h.slice(*works).values.uniq).to contain_exactly("works", "rests")
    expect(states.to_h.except(*works).values.uniq).not_to include("works")
    expect(works.size).to be_between(1, (people.size * stations.size) - 1)
  end

  it "moves from one to the next what the cells say, beginning at the marks that stand there" do
    loft.queues.stands(
      stations[0].delete("/"),
      "",
      { "back pad" => "3", "roller" => "C", "thigh pad" => "3" },
      by: db[:accounts].get(:id)
    )
    circle = add
    stands = nil
    circle["rounds"].each do |round|
      cell = round["cells"][0]
      next unless cell["state"] == "works"

      marks = cell["marks"].to_h { |tag| [tag["name"], tag["mark"]] }
      if stands
        expect(cell["moves"].map { |move| move.values_at("name", "from", "to") }).to match_array(
          marks.filter_map { |name, mark| [name, stands[name], mark] if stands[name] && stands[name] != mark }
        )
      end
      stands = marks
    end
    expect(stands).not_to be_nil
  end

  it "needs no more moves than any other order" do
    circle = add
    moves = ->(told) { told["says"][/\A\d+/].to_i }
    rotation = Verglas::Application::Sessions::Rotation
    least =
      people
        .drop(1)
        .permutation
        .map { |rest| rotation.new(loft, stations, [people[0], *rest], work_s: 60).circuit }
        .map do |one|
          one.neighbours.size
          (0...people.size).each_cons(2).sum { |from, upto| stations.sum { |key| one.change_s(key, from, upto) } } +
            stations.sum { |key| one.change_s(key, people.size - 1, 0) }
        end
    expect(rotation.new(loft, stations, circle["people"].map { |one| one["id"] }, work_s: 60).circuit.seconds).to eq(
      least.min
    )
    expect(moves[circle]).to be_positive
  end

  it "lets somebody rest, or work beside it, where a station is not for them, and says nothing of why" do
    barred = people[1]
    call(:put, "/api/clients/#{barred}/cautions", { caution: "hip_replacement", version: nil })
    expect(status).to eq(200), last_response.body
    circle = add
    cells = circle["rounds"].flat_map { |round| round["cells"] }.select { |cell| cell["person"] == barred }
    expect(cells.map { |cell| cell["state"] }).to include(match(/rests|instead/))
    expect(JSON.generate(circle)).not_to match(/caution|hip repl|barred/i)
  end

  it "goes on as before where somebody comes late, and leaves a place empty where somebody goes" do
    circle = turn(add, 2)
    before = at(circle, 3)
    late = person("Caspian Thwaite")
    joined =
      call(:put, "/api/circles/#{circle["id"]}", { **fields, people: [*people, late], version: circle["version"] })
    expect(status).to eq(200)
    expect(at(joined, 3).first).to eq(late)
    expect(at(joined, 3).drop(1)).to eq(at(circle, 2).first(2))
    left =
      call(
        :put,
        "/api/circles/#{circle["id"]}",
        { **fields, people: [*people - [before.compact.first], late], version: joined["version"] }
      )
    expect(left["people"].size).to eq(4)
    expect(left["rounds"].flat_map { |round| round["cells"].map { |cell| cell["person"] } }).not_to include(
      before.compact.first
    )
  end

  it "puts a late comer into an empty place, where there is one" do
    circle = turn(add(people: people.take(2)), 1)
    late = person("Caspian Thwaite")
    joined =
      call(
        :put,
        "/api/circles/#{circle["id"]}",
        { **fields, people: [*people.take(2), late], version: circle["version"] }
      )
    expect(joined["rounds"].size).to eq(3)
    expect(joined["people"].size).to eq(3)
  end

  it "refuses other gyms' people and machines, thirteen people, a machine twice; and a version that was not seen" do
    elsewhere = gym("Elsewhere")
    add(people: [client(elsewhere, staff(elsewhere, email: "a@else.example"))[:id]])
    expect(status).to eq(404)
    add(stations: ["#{machine(elsewhere)[:id]}/"])
    expect(status).to eq(422)
    add(people: Array.new(13) { SecureRandom.uuid })
    expect(status).to eq(422)
    add(stations: [stations[0], stations[0]])
    expect(status).to eq(422)
    circle = add
    turn(circle, 1)
    turn(circle, 2)
    expect(status).to eq(409)
  end

  it "forgets somebody who is erased" do
    circle = add
    row = loft.clients.find(people[2])
    Verglas::Store::Erasure.new(loft).call([row], keep_marks: false, gone: [404, "{}"])
    expect(call(:get, "/api/circles/#{circle["id"]}")["people"].map { |one| one["id"] }).not_to include(people[2])
    expect(db[:circles].where(id: circle["id"]).get(:people).to_s).not_to include(people[2])
  end

  it "is printed, listed and removed" do
    circle = add
    call(:get, "/api/circles/#{circle["id"]}/grid.pdf")
    expect(last_response.body).to start_with("%PDF")
    expect(call(:get, "/api/circles")["circles"].size).to eq(2)
    call(:post, "/api/circles/#{circle["id"]}/removal", { version: 1 })
    expect(call(:get, "/api/circles")["circles"].map { |one| one["id"] }).not_to include(circle["id"])
  end
end

RSpec.describe "Who waits at a machine" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }

  before { sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password]) }

  it "is a group of one station: told in the order in which the least is moved from the marks that stand there" do
    machine = db[:machines].where(name: "Leg extension 1").get(:id)
    people = db[:fittings].where(machine_id: machine, state: "accepted").distinct.select_map(:client_id).first(4)
    loft.queues.stands(machine, "", { "back pad" => "1" }, by: db[:accounts].get(:id))
    call(:put, "/api/machines/#{machine}/queue", { exercise: "", clients: people, version: 0 })
    expect(status).to eq(200), last_response.body
    moves = ->(queue) { queue["entries"].sum { |entry| entry["moves"].sum { |move| 6 + (2 * move["by"].abs) } } }
    before = call(:get, "/api/machines/#{machine}/queue")
    best = before["fewest_moves"] || people
    costs =
      people.permutation.map do |order|
        version = call(:get, "/api/machines/#{machine}/queue")["version"]
        told = call(:put, "/api/machines/#{machine}/queue", { exercise: "", clients: order, version: version })
        [moves[told], order]
      end
    expect(costs.to_h(&:reverse)[best]).to eq(costs.min.first)
  end
end
