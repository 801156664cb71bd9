# frozen_string_literal: true

# A gym of any size, made in the database from what one accepted fitting of another gym looks like: for the benchmark of
# large gyms, and in little for the spec of its plans.
module LargeGym
  # Fills a gym with machines like another's, clients with three readings each, and fittings spread over three years,
  # with three sets each.
  class Generator
    PASSWORD = "mend the nets"

    # like: id of a gym with machines and accepted fittings.
    def initialize(db, like:)
      @db = db
      @like = like
    end

    # {gym:, email:} of a member of staff who can sign in.
    def generate(clients:, fittings:)
      @db.transaction do
        @db.run("SET LOCAL statement_timeout = '20min'")
        @gym = @db[:gyms].returning(:id).insert(name: "The Sail Shed").first[:id]
        account
        machines
        people(clients)
        @db.run(self.fittings(fittings))
        visits
      end
      %i[clients readings fittings visits sets].each { |table| @db.run("ANALYZE #{table}") }
      { gym: @gym, email: "ines@sailshed.example" }
    end

    private

    def account
      @account = @db[:accounts].insert(gym_id: @gym, email: "ines@sailshed.example", name: "Ines Harrow")
      @db[:account_password_hashes].insert(id: @account, password_hash: Verglas::Web::SignIn.password_hash(PASSWORD))
    end

    def machines
      gym = Verglas::Store::Gym.new(@db, @gym)
      Verglas::Store::Gym
        .new(@db, @like)
        .machines
        .all
        .each do |row|
          parts = %i[constants exercises].to_h { |name| [name, row[name].to_h] }
          gym.machines.insert(
            family: row[:family],
            description: {
              **parts,
              adjusters: row[:adjusters].to_a,
              taped: {
              }
            },
            by: @account,
            **row.slice(:name, :code, :place),
            loading: row[:loading]&.to_h
          )
        end
    end

    # What tells namesakes apart lies encrypted: so these are made here, not in the database.
    def people(count)
      firsts = %w[Tal Bot Var Hol Mes Ork Bran Achter Quill Fair]
      lasts = %w[wea ther pel brook ark wright low]
      rows =
        Array.new(count) do |n|
          detail = "number #{n}"
          [
            @gym,
            "#{firsts[n % 10]}#{lasts[n % 7]}#{n}",
            ["man", "woman", nil][n % 3],
            *Verglas::Store::Sealed.columns(:clients, { detail: detail }).values,
            Verglas::Store::Tables::Clients.detail_digest(@gym, detail)
          ]
        end
      @db[:clients].import(%i[gym_id name sex detail_cipher detail_digest], rows, slice: 5000)
      @db.run("ANALYZE clients") # else each foreign key is looked up row by row
      { stature: [1500, 450], seat_to_kneecap: [520, 130], floor_to_knee_top: [450, 120] }.each do |name, (least, span)|
        @db.run(<<~SQL)
          INSERT INTO readings (client_id, gym_id, observation, value_mm, unit, taken_by, taken_at)
          SELECT id, gym_id, '#{name}', #{least} + abs(hashtext(id::text || '#{name}')) % #{span}, 'cm', #{@account}, now() - interval '1100 days' * random()
          FROM clients WHERE gym_id = '#{@gym}'
        SQL
      end
    end

    # Each a copy of one accepted fitting's sheet, with the head of its record (grade, wishes), since nobody lists more
    # of it, for a client and a machine of the same family drawn at random.
    def fittings(count)
      heads
      <<~SQL
        WITH kinds AS (
          SELECT DISTINCT ON (theirs.id) theirs.id AS machine_id, f.exercise, f.marks, heads.grade, heads.result, heads.computed_from, f.contact_above_ankle_mm
          FROM fittings f JOIN large_gym_heads heads ON heads.id = f.id JOIN machines m ON m.id = f.machine_id
               JOIN machines theirs ON theirs.name = m.name AND theirs.gym_id = '#{@gym}'
          WHERE f.gym_id = '#{@like}' ORDER BY theirs.id, f.exercise
        ), numbered AS MATERIALIZED (SELECT *, row_number() OVER () - 1 AS number FROM kinds),
        people AS MATERIALIZED (SELECT id, row_number() OVER () - 1 AS number FROM clients WHERE gym_id = '#{@gym}'),
        wanted AS MATERIALIZED (SELECT n, floor(random() * (SELECT count(*) FROM people))::bigint AS person FROM generate_series(1, #{count}) n)
        INSERT INTO fittings (gym_id, client_id, machine_id, exercise, description_number, state, marks, grade, result_cipher, computed_from_cipher, contact_above_ankle_mm,
                              created_by, updated_by, accepted_by, accepted_at, updated_at, touched, knee_off_mm, roller_seen)
        SELECT '#{@gym}', people.id, numbered.machine_id, numbered.exercise, 1, 'accepted', numbered.marks, numbered.grade, numbered.result, numbered.computed_from, numbered.contact_above_ankle_mm,
               #{@account}, #{@account}, #{@account}, at, at, true, CASE WHEN n % 3 = 0 THEN 0 END, n % 3 = 0
        FROM wanted JOIN people ON people.number = wanted.person JOIN numbered ON numbered.number = wanted.n % (SELECT count(*) FROM numbered),
             LATERAL (SELECT now() - interval '1000 days' * random() AS at) times
      SQL
    end

    # A visit with three sets from every fitting.
    def visits
      how =
        Verglas::Store::Sealed.columns(:sets, { how: { last: "clean", reached: 1, felt: "front_thigh" } })[:how_cipher]
      @db.run("ANALYZE fittings")
      @db.run(<<~SQL)
        INSERT INTO visits (gym_id, client_id, machine_id, exercise, fitting_id, planned_kg, begun_by, begun_at, last_at)
        SELECT gym_id, client_id, machine_id, exercise, id, 20, #{@account}, accepted_at + interval '1 day', accepted_at + interval '1 day' FROM fittings WHERE gym_id = '#{@gym}'
      SQL
      @db.run("ANALYZE visits")
      @db.run(<<~SQL)
        INSERT INTO sets (gym_id, visit_id, number, load_kg, repetitions, how_cipher, clean, sends_back, watched_by, done_by, done_at)
        SELECT gym_id, id, number, 20, 10, #{@db.literal(how)}, true, false, #{@account}, #{@account}, begun_at FROM visits, generate_series(1, 3) number WHERE gym_id = '#{@gym}'
      SQL
    end

    # The head of each accepted record of the other gym, encrypted anew.
    def heads
      @db.create_table!(:large_gym_heads, temp: true) do
        uuid :id
        text :grade
        text :result
        text :computed_from
      end
      Verglas::Store::Sealed
        .open_all(:fittings, @db[:fittings].where(gym_id: @like, state: "accepted").all)
        .each do |row|
          short =
            Verglas::Store::Sealed.columns(
              :fittings,
              { result: { grade: row[:grade], findings: [] }, computed_from: row[:computed_from].slice("wishes") }
            )
          @db[:large_gym_heads].insert(
            id: row[:id],
            grade: row[:grade],
            result: short[:result_cipher],
            computed_from: short[:computed_from_cipher]
          )
        end
      @db.run("ANALYZE large_gym_heads")
    end
  end
end
