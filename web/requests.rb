# frozen_string_literal: true

module Verglas
  module Web
    # What routes share: who asks, in which gym, what was sent, and writing once.
    module Requests
      # Writes answers strictly, symbols as they are: rows hold JSON in wrappers of their own, anything else that JSON
      # does not know is a fault of ours.
      WRITER = JSON::Coder.new { |held| held.respond_to?(:to_hash) ? held.to_hash : held.to_ary }

      # The signed-in member of staff, or nil.
      def staff
        return @staff if defined?(@staff)

        rodauth = request.env["rodauth"]
        @staff = rodauth&.logged_in? ? Store::Staff.find(db, rodauth.session_value) : nil
      end

      # A clinician is shown the clients who were shared with them, and nobody else.
      def gym = @gym ||= Store::Gym.new(db, staff[:gym_id], shown_to: (staff[:id] if staff[:role] == "clinician"))

      # The checked JSON body, symbol keys at the top; {} where there is none.
      attr_reader :input

      def parsed_body
        return {} if raw_body.empty?

        body = JSON.parse(raw_body)
        body.is_a?(Hash) ? body.transform_keys(&:to_sym) : refuse(:not_json)
      rescue JSON::ParserError
        raise Invalid, :not_json
      end

      def raw_body = @raw_body ||= RequestBody.read(request)

      def refuse(code) = raise(Invalid, code)
      def refuse_body(invalid, **extra) = reply(Errors.body(invalid, **extra))
      def found(row) = row || refuse(:not_found)
      def reply(data) = WRITER.dump(staff && staff[:role] == "helper" ? Discretion.of(data) : data)

      # Does the block's write once under the request's key: the same request again gets the same answer, whatever has
      # changed since. So all that a write asks first stands inside the block too.
      # trail: whether it stands in the audit trail; only what changes nothing of the gym's does not; as: under which
      # word, the operation's own unless said.
      def write_once(status: 200, trail: true, as: nil)
        once = Store::Writes.new(db, account_id: staff[:id])
        code, body =
          once.once(request.env["HTTP_IDEMPOTENCY_KEY"], "#{request.request_method} #{request.path}\n#{raw_body}") do
            done = yield
            on_record(params["id"] || subject(done), as: as) if trail
            [status, reply(done)]
          end
        halt code, body
      end

      # The id of what was made, where it has one of the kind that the trail holds.
      def subject(done) = [done[:id], done.dig(:machine, :id)].grep(String).first

      # What was done stands in the audit trail: every write, and every opening of what speaks of somebody's health or
      # leaves the gym. subject: the id of whom or what it was done to.
      def on_record(subject, as: nil)
        gym.trail.add(as || App::CONTRACT.action(request), by: staff[:id], subject: subject)
      end

      # What a writer who came too late is shown.
      def current_state(row)
        return Views::Fitting.state(row, by: gym.staff_name(row[:updated_by])) if row.key?(:marks)

        return current_of_gym(row[:gym]) if row.key?(:gym)
        return rules_of(client_row(row[:rules_of])) if row.key?(:rules_of)
        return Views::Cautions.one(row) if row.key?(:caution)
        return queue_at(row) if row.key?(:queue)
        return Views::Colleagues.one(row) if row.key?(:email)
        return current_of_sessions(row) if row.keys.intersect?(%i[session programme circle])

        row.key?(:family) ? Views::Machine.summary(row).merge(version: row[:version]) : Views::Client.summary(row)
      end

      def current_of_gym(part)
        {
          equipment: -> { Views::Equipment.cushions(Questions::Cushions.of(gym)) },
          plates: -> { Views::Equipment.plates(Questions::Plates.of(gym)) },
          bands: -> { Views::Equipment.bands(Questions::Bands.of(gym)) },
          rules: -> { Views::Rules.of_gym(Questions::GymRules.of(gym)) },
          settings: -> { Views::GymSettings.of(Questions::GymSettings.of(gym)) },
          aims: -> { Views::Aims.of(Questions::Aims.of(gym)) },
          tempos: -> { Views::Tempos.of(Questions::Tempos.of(gym)) }
        }.fetch(part).call
      end

      # nil where it was removed meanwhile.
      def current_of_sessions(row)
        case row
        in session: id
          told(session_row(id))
        in programme: id
          gym.programmes.find(id)&.then { |one| Views::Programmes.one(one) }
        in circle: id
          gym.circles.find(id)&.then { |one| circle(one) }
        end
      end

      def rules_of(client) = Views::Rules.of_client(Questions::ClientRules.of(gym, client))

      def queue_at(row)
        Views::Queue.of(Questions::Queue.of(gym, machine_row(row[:machine_id]), row[:exercise]))
      end

      def client_row(id) = found(gym.clients.find(id))
      def machine_row(id) = found(gym.machines.find(id))
    end
  end
end
