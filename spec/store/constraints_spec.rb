# frozen_string_literal: true

require "database_helper"

RSpec.describe "The database's own constraints" do
  let(:loft) { gym }
  let(:account) { staff(loft) }
  let(:person) { client(loft, account) }

  def refused(constraint, &block)
    expect(&block).to raise_error(Sequel::DatabaseError) { |error|
      expect(error.wrapped_exception.result.error_field(PG::PG_DIAG_CONSTRAINT_NAME) || error.message).to match(
        constraint
      )
    }
  end

  bad_clients = {
    client_name_length: {
      name: "x" * 81
    },
    client_name_not_blank: {
      name: "   "
    },
    client_sex_known: {
      sex: "other"
    },
    client_birth_date_plausible: {
      birth_date: "1899-12-31"
    },
    client_body_mass_range: {
      body_mass_kg: 19
    }
  }
  bad_clients.each do |constraint, fields|
    it "refuses a client against #{constraint}" do
      refused(constraint.to_s) do
        db[:clients].insert({ gym_id: loft.id, name: "Ada", detail_digest: "none" }.merge(fields))
      end
    end
  end

  bad_readings = {
    reading_observation_form: {
      observation: "Arm span"
    },
    reading_unit_known: {
      unit: "ft"
    },
    reading_value_range: {
      observation: "heel_to_toe",
      value_mm: 5
    },
    stature_range: {
      value_mm: 1100
    }
  }
  bad_readings.each do |constraint, fields|
    it "refuses a reading against #{constraint}" do
      row = {
        client_id: person[:id],
        gym_id: loft.id,
        observation: "stature",
        value_mm: 1700,
        unit: "cm",
        taken_by: account
      }
      refused(constraint.to_s) { db[:readings].insert(row.merge(fields)) }
    end
  end

  bad_machines = {
    machine_code_length: {
      code: "x" * 21
    },
    machine_state_known: {
      state: "lent"
    },
    machine_words_length: {
      getting_in: "x" * 401
    },
    machine_loading_is_an_object: {
      loading: Sequel.pg_json([])
    },
    machine_slack_range: {
      slack_from_deg: 181
    },
    machine_mass_limit_range: {
      user_mass_limit_kg: 39
    },
    machine_least_age_range: {
      least_age_years: 7
    }
  }
  bad_machines.each do |constraint, fields|
    it "refuses a machine against #{constraint}" do
      here = machine(loft)
      refused(constraint.to_s) { db[:machines].where(id: here[:id]).update(fields) }
    end
  end

  bad_fittings = {
    fitting_exercise_form: {
      exercise: "Leg press"
    },
    fitting_knee_off_range: {
      knee_off_mm: 101
    },
    fitting_creep_is_an_object: {
      creep: Sequel.pg_json([])
    },
    fitting_taken_back_whole: {
      taken_back_at: Time.at(0)
    },
    fitting_stopped_by_a_sign: {
      stop_sign_cipher: "x"
    },
    fitting_grade_length: {
      grade: "x" * 41
    },
    fitting_aids_are_an_object: {
      aids: Sequel.pg_json([])
    }
  }
  bad_fittings.each do |constraint, fields|
    it "refuses a fitting against #{constraint}" do
      row = {
        gym_id: loft.id,
        client_id: person[:id],
        machine_id: machine(loft)[:id],
        description_number: 1,
        marks: Sequel.pg_json({}),
        created_by: account,
        updated_by: account
      }
      refused(constraint.to_s) { db[:fittings].insert(row.merge(fields)) }
    end
  end

  it "refuses a second caution of a kind, one taken out by nobody, and one that says nothing" do
    row = { client_id: person[:id], caution_digest: "d", body_cipher: "x", set_by: account }
    refused("caution_removal_whole") { db[:client_cautions].insert(row.merge(removed_at: Time.at(0))) }
    refused(/null value/) { db[:client_cautions].insert(row.except(:body_cipher)) }
    db[:client_cautions].insert(row)
    refused("one_caution_of_a_kind") { db[:client_cautions].insert(row) }
  end

  it "refuses cushions that no gym owns" do
    refused("equipment_kind_form") { db[:gym_equipment].insert(gym_id: loft.id, kind: "A towel", size_mm: 20) }
    refused("equipment_size_range") { db[:gym_equipment].insert(gym_id: loft.id, kind: "hip_pad", size_mm: 201) }
  end

  it "refuses a band without a name, one that pulls like another or not at all, and two of one name" do
    band = ->(name, newton) { db[:gym_bands].insert(gym_id: loft.id, name: name, newton: newton) }
    refused("band_name_length") { band.call("", 60) }
    refused("band_newton_range") { band.call("red", 4) }
    band.call("red", 60)
    refused("band_newtons_differ") { band.call("blue", 60) }
    refused("gym_bands_pkey") { band.call("red", 80) }
  end

  it "refuses plates of nothing, a count under a readable name, and more wrong PINs than are counted" do
    refused("plate_mass_range") { db[:gym_plates].insert(gym_id: loft.id, mass_kg: 0, pairs: 1) }
    refused("plate_pairs_range") { db[:gym_plates].insert(gym_id: loft.id, mass_kg: 20, pairs: 0) }
    refused("counter_digest_form") do
      db[:counters].insert(key_digest: "maren@netloft.example", count: 1, ends_at: Time.now)
    end
    refused("pin_failures_range") { db[:account_pins].insert(id: account, pin_hash: "x", failures: -1) }
  end

  it "refuses a queue that is none, at an exercise that is none, or at another gym's machine" do
    here = machine(loft)
    row = { gym_id: loft.id, machine_id: here[:id], updated_by: account }
    refused("queue_is_a_list") { db[:machine_queues].insert(row.merge(clients: Sequel.pg_json({}))) }
    refused("queue_standing_is_an_object") { db[:machine_queues].insert(row.merge(standing: Sequel.pg_json([]))) }
    refused("queue_exercise_form") { db[:machine_queues].insert(row.merge(exercise: "Leg press")) }
    refused("queue_machine_of_gym") { db[:machine_queues].insert(row.merge(gym_id: gym("The Sail Shed").id)) }
  end

  it "refuses a missing name" do
    refused(/null value/) { db[:clients].insert(gym_id: loft.id) }
  end

  it "refuses a fitting of one gym's client on another gym's machine" do
    other = gym("The Sail Shed")
    elsewhere = machine(other)
    refused("fitting_machine_of_gym") do
      db[:fittings].insert(
        gym_id: loft.id,
        client_id: person[:id],
        machine_id: elsewhere[:id],
        description_number: 1,
        marks: Sequel.pg_json({}),
        created_by: account,
        updated_by: account
      )
    end
  end

  it "refuses a second draft, and an accepted fitting without its numbers" do
    here = machine(loft)
    row = {
      gym_id: loft.id,
      client_id: person[:id],
      machine_id: here[:id],
      description_number: 1,
      marks: Sequel.pg_json({}),
      created_by: account,
      updated_by: account
    }
    db[:fittings].insert(row)
    refused("one_draft_a_client_and_exercise") { db[:fittings].insert(row) }
    refused("accepted_whole") { db[:fittings].insert(row.merge(state: "accepted")) }
  end

  it "refuses one email for two people, in whatever case" do
    account
    refused("accounts_email") { staff(loft, email: "MAREN@netloft.example") }
  end

  it "translates what a person can cause into our own kind of error, and tells the log of what it does not know" do
    loft.clients.insert(name: "Zoé Quill", detail: "mornings")
    expect { loft.clients.insert(name: "zoe quill", detail: "Mornings") }.to raise_error(Verglas::Invalid) { |error|
      expect([error.code, error.path]).to eq([:namesake, "/detail"])
    }
    unknown = -> { Verglas::Store::ConstraintErrors.translate { db[:gyms].insert(name: "") } }
    expect do
      expect(&unknown).to raise_error(Verglas::Invalid) { |error| expect(error.code).to eq(:not_kept) }
    end.to output("a value was refused by gym_name_length\n").to_stderr
    expect { Verglas::Store::ConstraintErrors.translate { db[:no_such_table].first } }.to raise_error(
      Sequel::DatabaseError
    )
  end

  it "has words for every refusal it translates" do
    codes = Verglas::Store::ConstraintErrors::TABLE.each_value.map(&:first)
    expect(codes.reject { |code| Verglas::Formats::Words.known?("errors.#{code}") }).to all(eq(:draft_exists))
  end
end
