# frozen_string_literal: true

require "web_helper"

RSpec.describe Verglas::Application::OwnProcess do
  def refused(code) = raise_error(Verglas::Invalid) { |error| expect(error.code).to eq(code) }

  it "answers what was computed in a process of its own" do
    pid, sum = described_class.compute { [Process.pid, (1..100).sum] }
    expect([pid == Process.pid, sum]).to eq([false, 5050])
    expect { Process.kill(0, pid) }.to raise_error(Errno::ESRCH)
  end

  it "answers with what it has when its time is over" do
    asked =
      described_class.compute(budget_s: 0.2) do |budget|
        described_class.in_time((1..).lazy, budget) { |number| number.tap { sleep 0.02 } }
      end
    expect(asked.size).to be_between(2, 11)
  end

  it "is ended where it does not look at the time, and says that it was too much" do
    stub_const("#{described_class}::GRACE_S", 0.1)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    expect { described_class.compute(budget_s: 0.1) { loop { 2**64 } } }.to refused(:busy)
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 2
  end

  it "lets so many in at once, and tells the others to come again" do
    stub_const("#{described_class}::WAIT_S", 0.2)
    thinking = Array.new(described_class::WIDTH) { Thread.new { described_class.compute { sleep 1 } } }
    sleep 0.3
    expect { described_class.compute { 1 } }.to refused(:busy)
    thinking.each(&:join)
    expect(described_class.compute { 1 }).to eq(1)
  end

  it "hands on a refusal as it was made, and of a fault only that there was one" do
    expect do
      described_class.compute { raise Verglas::Invalid.new(:too_many_marks, path: "/adjusters", tries: 5, most: 3) }
    end.to raise_error(Verglas::Invalid) { |error|
      expect([error.code, error.path, error.params]).to eq([:too_many_marks, "/adjusters", { tries: 5, most: 3 }])
    }
    expect { described_class.compute { raise "Perpetua Lowe" } }.to raise_error(described_class::Failed) { |error|
      expect(error.message).not_to include("Perpetua")
    }
  end

  it "knows no database, and leaves this process's alone" do
    expect { described_class.compute { db[:gyms].count } }.to raise_error(described_class::Failed)
    expect(db[:gyms].count).to eq(0)
  end

  it "hears a signal that ends it, though it does not look at the time" do
    pid_file = Tempfile.new("apart")
    asking =
      Thread.new do
        described_class.compute { File.write(pid_file.path, Process.pid) && loop { 2**64 } }
      rescue Verglas::Invalid => e
        e.code
      end
    sleep 0.02 until File.size?(pid_file.path)
    Process.kill(:TERM, Integer(File.read(pid_file.path)))
    expect(asking.value).to eq(:busy)
  end

  describe "a machine of more marks than can be compared" do
    let(:loft) { gym }

    before do
      staff(loft)
      sign_in
    end

    def adjusters(count, marks)
      Array.new(count) do |number|
        { label: "adjuster #{number}", kind: "back_pad", forwards: true, marks: Array.new(marks, &:to_s) }
      end
    end

    it "is refused in words when it is entered, and when it is corrected" do
      refused =
        call(:post, "/api/machines", { family: "extension", name: "Wall of holes", adjusters: adjusters(12, 60) })
      expect([status, refused["code"], refused["path"]]).to eq([422, "too_many_marks", "/adjusters"])
      expect(refused["message"]).to include("20000 can be compared").and include("Nothing was changed")
      made = call(:post, "/api/machines", { family: "extension", name: "Leg extension 9", adjusters: adjusters(2, 60) })
      expect(status).to eq(201)
      station = {
        family: "combined",
        name: "Wall of seats",
        exercises: {
          extension: {
            adjusters: []
          },
          curl: {
            adjusters: []
          }
        }
      }
      expect(call(:post, "/api/machines", { **station, adjusters: adjusters(3, 60) })["code"]).to eq("too_many_marks")
      expect(
        call(:patch, "/api/machines/#{made["machine"]["id"]}", { version: 1, adjusters: adjusters(3, 60) })["code"]
      ).to eq("too_many_marks")
    end
  end
end
