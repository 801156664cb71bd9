# frozen_string_literal: true

require "json"
require "net/http"
require "securerandom"

module Cluster
  # Instructors at work: each enters people and a length of theirs, one after the other. What is refused is sent again
  # with the same key until it is answered; what was answered is remembered.
  class Instructors
    PAUSE_S = 0.1
    AGAIN_S = 0.3
    OPEN_S = 3
    READ_S = 15

    # answered: names of who was entered; refused: when something was refused (seconds since the beginning) and how, by
    # status; slowest: seconds that an answer took, the times that it was sent again with it.
    attr_reader :answered, :refused, :slowest

    # What so many send with each request, each from an address of their own, as a proxy before says: signed in once,
    # however often they work.
    def self.sessions(count, port, lead)
      Array.new(count) do |number|
        from = { "content-type" => "application/json", "x-forwarded-for" => "10.0.0.#{number + 1}" }
        answer = Net::HTTP.start("127.0.0.1", port) { |http| http.post("/auth/login", JSON.generate(lead), from) }
        raise "nobody is let in: #{answer.body}" unless answer.code == "200"

        { **from, "cookie" => answer.get_fields("set-cookie").map { |one| one.split(";").first }.join("; ") }
      end
    end

    # sessions: of .sessions, one an instructor.
    def initialize(sessions, port)
      @sessions = sessions
      @port = port
      @answered = Queue.new
      @refused = Queue.new
      @slowest = Queue.new
    end

    # Works for so many seconds; yields meanwhile.
    def work(seconds)
      @began = now
      workers =
        @sessions.map.with_index do |session, number|
          Thread.new do
            Thread.current[:session] = session
            enter(number) while now - @began < seconds
          end
        end
      yield
      workers.each(&:join)
    end

    def since = now - @began

    private

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def enter(number)
      name = "Person #{number} #{SecureRandom.hex(6)}"
      began = now
      made = JSON.parse(sent(:Post, "/api/clients", { name: name }, 201).body)
      reading = { value: 150 + number, unit: "cm", version: made["version"] }
      sent(:Put, "/api/clients/#{made["id"]}/readings/stature", reading, 200)
      @slowest << (now - began)
      @answered << name
      sleep(PAUSE_S)
    end

    # Until it is answered as it should be.
    def sent(verb, path, body, wanted)
      key = SecureRandom.uuid
      loop do
        answer = asked(verb, path, body, key)
        return answer if answer && answer.code.to_i == wanted
        raise "#{path}: #{answer.body}" if answer && %w[400 404 415 422].include?(answer.code)

        @refused << [since, answer ? answer.code : "none"]
        sleep(AGAIN_S)
      end
    end

    def asked(verb, path, body, key)
      request = Net::HTTP.const_get(verb).new(path, Thread.current[:session])
      request["idempotency-key"] = key
      request.body = JSON.generate(body)
      Net::HTTP.start("127.0.0.1", @port, open_timeout: OPEN_S, read_timeout: READ_S) { |http| http.request(request) }
    rescue SystemCallError, IOError, Timeout::Error, Net::HTTPBadResponse
      nil
    end
  end
end
