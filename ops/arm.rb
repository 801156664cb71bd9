# frozen_string_literal: true

require "json"
require "net/http"
require "optparse"
require "uri"
require_relative "simulated_arm"

module Verglas
  module Ops
    # A phone that does not exist: it opens a code as a real one does and sends what its sensors would say, in the time
    # that it takes. For the demo and for trying things without a machine.
    class Arm
      EVERY_S = 0.5
      # How far a limb goes where no arc is agreed (degrees).
      LIMIT_DEG = 20.0
      DEFAULTS = {
        repetitions: 8,
        up: 1.8,
        hold: 0.6,
        down: 2.8,
        pause: 0.3,
        top: 1.0,
        first: nil,
        shrink: 0.0,
        slower: 0.0,
        slam: false,
        noise: 1.0,
        gaps: 0.05,
        shaking: 0.0,
        slip: nil,
        seed: 1,
        away: nil
      }.freeze

      def self.run(arguments, out: $stdout)
        options = {}
        parser(options).parse!(arguments)
        address = arguments.first or abort(parser(options).help)
        new(address, out: out, **options).call
      rescue OptionParser::ParseError => e
        abort("#{e.message}\n#{parser({}).help}")
      end

      def self.parser(options)
        OptionParser.new do |line|
          line.banner = "bin/arm ADDRESS [options]: the address under the code at the bench"
          {
            repetitions: [Integer, "how many"],
            up: [Float, "seconds of share rising"],
            hold: [Float, "seconds held"],
            down: [Float, "seconds back"],
            pause: [Float, "seconds between"],
            top: [Float, "how far, share of the arc"],
            first: [Float, "how far the first, share of the arc"],
            shrink: [Float, "by so much less at the last, share of the arc"],
            slower: [Float, "so many seconds longer up at the last"],
            noise: [Float, "of the sensors, 1 is usual"],
            gaps: [Float, "drop-outs a second"],
            shaking: [Float, "degrees by which a hand trembles"],
            slip: [Float, "degrees by which the phone slips in the middle of the set"],
            away: [Float, "after so many seconds the network is away for ten"],
            seed: [Integer, "same seed, same samples"]
          }.each { |name, (type, says)| line.on("--#{name} N", type, says) { |value| options[name] = value } }
          line.on("--slam", "the last one falls onto the stop") { options[:slam] = true }
        end
      end
      private_class_method :parser

      def initialize(address, out:, **options)
        @address = URI(address)
        @out = out
        @given = { **DEFAULTS, **options }
      end

      def call
        opened = post("/auth/phone", secret: @address.fragment.to_s)
        @secret = opened.fetch("secret")
        @out.puts(opened["limit"] || opened["machine"], opened["where"], opened["still"])
        told =
          send_all(
            arm(opened["arc_deg"] || LIMIT_DEG).samples.slice_when { |one, other| batch(one) != batch(other) }.to_a
          )
        post("/auth/phone/ending", secret: @secret)
        @out.puts("#{told["count"]} counted#{", slipped" if told["slipped"]}.")
      end

      private

      def batch(sample) = (sample.first / EVERY_S).floor

      def send_all(batches)
        begun = now
        batches
          .each
          .with_index(1)
          .inject(nil) do |_, (samples, number)|
            wait(begun + samples.last.first)
            wait(begun + @given[:away] + 10) if @given[:away] && (samples.last.first - @given[:away]).between?(0, 10)
            told = post("/auth/phone/samples", secret: @secret, number: number, samples: samples, anew: number == 1)
            @out.print("\r#{told["count"]} ")
            told
          end
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      def wait(time) = sleep([time - now, 0].max)

      def arm(arc_deg)
        count = @given[:repetitions]
        done = Array.new(count) { |index| one(count > 1 ? index / (count - 1.0) : 1.0, last: index == count - 1) }
        middle = SimulatedArm::Movement::STILL_S + (done.sum { |one| one.up + one.hold + one.down + one.pause } / 2)
        SimulatedArm.new(
          done,
          start: arc_deg,
          finish: 0.0,
          lies: true,
          even: false,
          slips: @given[:slip] ? [[middle, @given[:slip]]] : [],
          **@given.slice(:noise, :gaps, :shaking, :seed)
        )
      end

      # One repetition; share: 0 the first, 1 the last.
      def one(share, last:)
        slam = last && @given[:slam]
        SimulatedArm::Done.new(
          low: 0.0,
          top: (share.zero? && @given[:first]) || (@given[:top] - (share * @given[:shrink])),
          up: @given[:up] + (share * @given[:slower]),
          hold: @given[:hold],
          down: slam ? 0.5 : @given[:down],
          pause: @given[:pause],
          slam: slam
        )
      end

      def post(path, **body)
        answer =
          Net::HTTP.post(
            URI.join(@address, path),
            JSON.generate(body),
            "content-type" => "application/json",
            "accept" => "application/json",
            "origin" => "#{@address.scheme}://#{@address.host}:#{@address.port}"
          )
        told = JSON.parse(answer.body)
        answer.is_a?(Net::HTTPSuccess) ? told : abort(told.fetch("message"))
      end
    end
  end
end
